"use client";

import { Button } from "antd";
import { useEffect, useMemo, useRef, useState } from "react";
import { householdOf } from "@/core/cec";
import type { Arrival } from "@/core/chain";
import type { Job, Seen, StepState, VisitEntry } from "@/core/job";
import {
  cableName,
  deviceName,
  orderWords,
  rangeWords,
  screenOf,
  settingNeedWords,
  signWords,
  stepCaution,
  stepTools,
  visitStepWords,
} from "@/core/text";
import { needOfSetting, type FittedPart, type MinutesRange, type VisitStep } from "@/core/visit";
import { visitWords } from "@/ui/words";
import { RowSeenChoice } from "./seen-choice";
import { StepExtras, useExtras, type Extras } from "./step-extras";
import styles from "./visit.module.css";
import type { Entered } from "./use-visit";
import { minutesAndSeconds } from "./waits-bar";

interface StepCardProps {
  readonly job: Job;
  readonly jobId: string;
  readonly step: VisitStep;
  readonly rows: readonly Arrival[];
  readonly entry: VisitEntry | undefined;
  readonly isDone: boolean;
  readonly parts: readonly FittedPart[];
  /** Minutes of hands, from and to, and the wait after them. */
  readonly minutes: MinutesRange;
  readonly onEnter: (entered: Entered) => void;
}

/** One step, large: what, why, how one sees that it worked, what can hurt; and what became of it. */
export function StepCard({ job, jobId, step, rows, entry, isDone, parts, minutes: { from, to, wait }, onEnter }: StepCardProps) {
  const extras = useExtras();
  const [asksWhy, setAsksWhy] = useState(false);
  const since = useRef<number | null>(null);
  useEffect(() => {
    since.current = Date.now();
  }, []);
  const mark = (state: StepState, sees: Seen | null = null) => {
    const minutes = state === "done" && since.current !== null ? (Date.now() - since.current) / 60_000 : null;
    onEnter({
      step: step.id,
      state,
      sees,
      work: step.work,
      minutes: minutes === null ? null : Number(minutes.toFixed(2)),
      ...entered(extras),
    });
  };
  const putOff = () => {
    // Why it is put off is what the next one on site has to know.
    if (extras.note.trim() === "" && !asksWhy) setAsksWhy(true);
    else mark("put-off");
  };
  const words = visitStepWords(job, step, rows);
  return (
    <section className={styles.card} aria-label={visitWords.thisStep} aria-live="polite">
      <h2 dir="auto">{words}</h2>
      <StepFacts job={job} step={step} rows={rows} parts={parts} />
      {isDone ? null : (
        <p className={styles.quiet}>
          {rangeWords({ from, to })}
          {wait > 0 ? `. ${visitWords.thenWait(minutesAndSeconds(wait * 60_000))}` : ""}
        </p>
      )}
      {isDone ? (
        <div className={styles.marks}>
          <Button onClick={() => mark("open")}>{visitWords.takeBack}</Button>
        </div>
      ) : (
        <>
          <StepExtras jobId={jobId} device={step.device} about={words} extras={extras} />
          {asksWhy && extras.note.trim() === "" ? <p role="alert">{visitWords.putOffNeedsReason}</p> : null}
          {step.row === null ? null : <RowSeenChoice onSeen={(sees) => mark("not-done", sees)} />}
          <div className={styles.marks}>
            <Button type="primary" onClick={() => mark("done", step.row === null ? null : "as-predicted")}>
              {step.row === null ? visitWords.done : visitWords.asPredicted}
            </Button>
            <Button onClick={() => mark("not-done")}>{visitWords.notDone}</Button>
            <Button onClick={putOff}>{visitWords.putOff}</Button>
          </div>
        </>
      )}
      {entry?.note ? (
        <p className={styles.quiet} dir="auto">
          {entry.note}
        </p>
      ) : null}
    </section>
  );
}

/** What was added to a step as an entry has it. */
export const entered = ({ note, measured, photos }: Extras): Pick<VisitEntry, "note" | "measured" | "photos"> => ({
  note: note.trim(),
  measured,
  photos: [...photos],
});

/** The details of a step, below its heading. */
function StepFacts({ job, step, rows, parts }: Pick<StepCardProps, "job" | "step" | "rows" | "parts">) {
  const [sign, caution, because, tools] = [signWords(job, step, rows), stepCaution(job, step), orderWords(step), stepTools(step)];
  const need = useMemo(() => needOfSetting(job, step), [job, step]);
  const screen = useMemo(() => (need ? screenOf(householdOf(job, "planned")) : undefined), [job, need]);
  const takes = parts.map(({ kind, id, supply }) => visitWords.takes(kind === "cable" ? cableName(job, id) : deviceName(job, id), supply));
  return (
    <>
      {caution ? <p className={styles.caution}>{caution}</p> : null}
      {need ? <p>{settingNeedWords(job, need, screen)}</p> : null}
      {because ? <p className={styles.quiet}>{because}</p> : null}
      {sign ? (
        <p>
          <b>{visitWords.sign}</b> {sign}
        </p>
      ) : null}
      {takes.length ? (
        <p>
          <b>{visitWords.parts}</b> {takes.join("; ")}
        </p>
      ) : null}
      {tools.length ? (
        <p className={styles.quiet}>
          <b>{visitWords.tools}</b> {tools.join(", ")}
        </p>
      ) : null}
    </>
  );
}
