"use client";

import { Button, Input } from "antd";
import dayjs from "dayjs";
import { useState } from "react";
import { v4 as newId } from "uuid";
import { countedEntries, replacementsOf } from "@/core/handover";
import type { Job, JobEvent, VisitEntry } from "@/core/job";
import { deviceName, HOUSEHOLD_CHANGE_WORDS } from "@/core/text";
import { Choice } from "@/ui/kit";
import type { Visit } from "@/ui/visit";
import { handoverWords } from "@/ui/words";
import styles from "./handover.module.css";

const KINDS = ["refused", "promised", "firmware"] as const;
type Kind = (typeof KINDS)[number];

/** What was written down of a job beside its steps, and the field to write more. */
export function EventList({ job, visit }: { readonly job: Job; readonly visit: Visit }) {
  const { entries } = visit.record;
  const replaced = new Set(replacementsOf(entries).map(({ entry }) => entry.id));
  const shown = countedEntries(entries).filter(
    ({ id, event }) => event !== null && event.event !== "visit-ended" && (event.event !== "replaced" || replaced.has(id)),
  );
  return (
    <section aria-label={handoverWords.noteSomething}>
      <h3>{handoverWords.noteSomething}</h3>
      <WriteEvent job={job} onWrite={(event, note) => visit.enter({ step: `event ${newId()}`, state: "done", event, note })} />
      {shown.length ? (
        <ul className={styles.visits} aria-label={handoverWords.events}>
          {shown.map((entry) => (
            <li key={entry.id}>
              <b>{dayjs(entry.at).format("D MMM YYYY")}</b>
              <span>{[eventWords(job, entry), entry.who].filter(Boolean).join(" · ")}</span>
              <Button size="small" type="text" onClick={() => visit.enter({ step: entry.step, state: "open" })}>
                {handoverWords.takeBack}
              </Button>
            </li>
          ))}
        </ul>
      ) : null}
    </section>
  );
}

function eventWords(job: Job, { event, note }: VisitEntry): string {
  switch (event?.event) {
    case "refused":
      return handoverWords.refusedLine(note);
    case "promised":
      return handoverWords.promisedLine(dayjs(event.due).format("D MMM YYYY"), note);
    case "firmware":
      return handoverWords.firmwareLine(deviceName(job, event.device), event.firmware);
    case "replaced":
      return handoverWords.replacedLine(event.name, event.became);
    case "called-back":
      return handoverWords.calledLine(event.changed.map((change) => HOUSEHOLD_CHANGE_WORDS[change]).join("; "));
    default:
      return note;
  }
}

function WriteEvent({ job, onWrite }: { readonly job: Job; readonly onWrite: (event: JobEvent, note: string) => void }) {
  const [kind, setKind] = useState<Kind>("refused");
  const [words, setWords] = useState("");
  const [day, setDay] = useState(dayjs().add(1, "month").format("YYYY-MM-DD"));
  const [device, setDevice] = useState(job.devices[0]?.id ?? "");
  const text = words.trim();
  const write = () => {
    if (!text) return;
    if (kind === "firmware") onWrite({ event: "firmware", device, firmware: text.slice(0, 80) }, "");
    else onWrite(kind === "promised" ? { event: "promised", due: day } : { event: "refused" }, text);
    setWords("");
  };
  return (
    <div className={styles.write}>
      <Choice<Kind>
        label={handoverWords.whatKind}
        value={kind}
        options={KINDS.map((one) => ({ value: one, label: handoverWords.kinds[one] }))}
        onChange={setKind}
      />
      {kind === "firmware" ? (
        <Choice
          label={handoverWords.device}
          value={device}
          options={job.devices.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setDevice}
        />
      ) : null}
      {kind === "promised" ? (
        <input
          className="native-field"
          type="date"
          aria-label={handoverWords.from}
          value={day}
          onChange={(event) => event.target.value && setDay(event.target.value)}
        />
      ) : null}
      <Input
        aria-label={kind === "firmware" ? handoverWords.version : handoverWords.what}
        placeholder={kind === "firmware" ? handoverWords.version : handoverWords.what}
        value={words}
        maxLength={kind === "firmware" ? 80 : 2000}
        onChange={(event) => setWords(event.target.value)}
        onPressEnter={write}
      />
      <Button disabled={!text} onClick={write}>
        {handoverWords.writeDown}
      </Button>
    </div>
  );
}
