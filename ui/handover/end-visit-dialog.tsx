"use client";

import { Button, Checkbox, Input, InputNumber, Modal } from "antd";
import dayjs from "dayjs";
import { useState } from "react";
import { endVisit, visitsOf } from "@/core/handover";
import { VISIT_REASONS, type Job, type VisitReason } from "@/core/job";
import { VISIT_REASON_WORDS } from "@/core/text";
import { Notice, useIntents } from "@/ui/job";
import { Choice } from "@/ui/kit";
import { useOwnName, type Visit } from "@/ui/visit";
import { handoverWords, jobWords } from "@/ui/words";
import styles from "./handover.module.css";

interface EndVisitDialogProps {
  readonly job: Job;
  readonly visit: Visit;
  readonly onEnded: (handedOver: boolean) => void;
  readonly onClose: () => void;
}

/** The end of a visit: its day, what it was, how long it took, and whether the household has the room now. */
export function EndVisitDialog({ job, visit, onEnded, onClose }: EndVisitDialogProps) {
  const { edit, say } = useIntents();
  const [name, setName] = useOwnName();
  const [day, setDay] = useState(dayjs().format("YYYY-MM-DD"));
  const today = visitsOf(visit.record.entries).find((one) => one.day === day);
  const [reason, setReason] = useState<VisitReason>(job.phase === "handover" ? "call-back" : "install");
  const [minutes, setMinutes] = useState<number | null>(null);
  const [note, setNote] = useState("");
  const [handedOver, setHandedOver] = useState(job.phase !== "handover");
  const counted = minutes ?? (today?.minutes ? Math.round(today.minutes) : null);
  const end = () => {
    const names = {
      found: jobWords.asFound,
      left: jobWords.asLeft,
      visit: `${VISIT_REASON_WORDS[reason]}, ${dayjs(day).format("D MMM YYYY")}`,
    };
    const { command, event } = endVisit(
      job,
      visit.record.entries,
      { day, reason, minutes: counted, handedOver },
      names,
      new Date().toISOString(),
    );
    if (command.kind === "batch" && command.commands.length && !edit(command)) return;
    visit.enter({ step: `event visit-ended ${day}`, state: "done", note: note.trim(), event });
    say(handedOver ? handoverWords.handedOver : handoverWords.ended);
    onEnded(handedOver);
  };
  return (
    <Modal
      title={handoverWords.dialogTitle(job.name)}
      open
      onCancel={onClose}
      footer={
        <Button type="primary" onClick={end}>
          {handedOver ? handoverWords.finishAndHandOver : handoverWords.finish}
        </Button>
      }
    >
      <Notice in="dialog" />
      <div className={styles.fields}>
        <label>
          {handoverWords.day}
          <input className="native-field" type="date" value={day} onChange={(event) => event.target.value && setDay(event.target.value)} />
        </label>
        <label>
          {handoverWords.reason}
          <Choice<VisitReason>
            label={handoverWords.reason}
            value={reason}
            options={VISIT_REASONS.map((one) => ({ value: one, label: VISIT_REASON_WORDS[one] }))}
            onChange={setReason}
          />
        </label>
        <label>
          {handoverWords.who}
          <Input defaultValue={name} maxLength={80} onBlur={(event) => setName(event.target.value)} />
        </label>
        <label>
          {handoverWords.minutes}
          <InputNumber
            aria-label={handoverWords.minutes}
            min={0}
            max={2880}
            precision={0}
            value={counted}
            placeholder={handoverWords.minutesUnknown}
            onChange={setMinutes}
          />
        </label>
        <label className={styles.wide}>
          {handoverWords.note}
          <Input.TextArea value={note} maxLength={2000} autoSize onChange={(event) => setNote(event.target.value)} />
        </label>
        <Checkbox className={styles.wide ?? ""} checked={handedOver} onChange={(event) => setHandedOver(event.target.checked)}>
          {handoverWords.handsOver}
        </Checkbox>
        <p className={`${styles.quiet} ${styles.wide}`}>{handoverWords.handsOverWords}</p>
      </div>
    </Modal>
  );
}
