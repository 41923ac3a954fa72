"use client";

import { Button, Input } from "antd";
import { useState } from "react";
import type { Arrival } from "@/core/chain";
import type { Job } from "@/core/job";
import { orderWords, signWords, stepCaution, visitStepWords } from "@/core/text";
import type { Seen } from "@/core/proof";
import type { StepState, VisitStep } from "@/core/visit";
import { visitWords } from "@/ui/words";
import { SeenChoice } from "./seen-choice";
import { WaitTimer } from "./wait-timer";
import styles from "./visit.module.css";

interface StepCardProps {
  readonly job: Job;
  readonly step: VisitStep;
  readonly rows: readonly Arrival[];
  readonly waitMinutes: number;
  readonly onMark: (state: StepState, note: string, sees: Seen | null) => void;
}

/** One step, large: what, why, how one sees that it worked, what can hurt; and what became of it. */
export function StepCard({ job, step, rows, waitMinutes, onMark }: StepCardProps) {
  const [note, setNote] = useState("");
  const [sign, caution, because] = [signWords(job, step, rows), stepCaution(job, step), orderWords(step)];
  return (
    <section className={styles.card} aria-label={visitWords.thisStep}>
      <h2 dir="auto">{visitStepWords(job, step, rows)}</h2>
      {caution ? <p className={styles.caution}>{caution}</p> : null}
      {because ? <p className={styles.quiet}>{because}</p> : null}
      {sign ? (
        <p>
          <b>{visitWords.sign}</b> {sign}
        </p>
      ) : null}
      {waitMinutes > 0 ? <WaitTimer key={step.id} minutes={waitMinutes} /> : null}
      <Input
        aria-label={visitWords.note}
        placeholder={visitWords.notePlaceholder}
        value={note}
        maxLength={2000}
        onChange={(event) => setNote(event.target.value)}
      />
      {step.row === null ? null : <SeenChoice onSeen={(sees) => onMark("not-done", note, sees)} />}
      <div className={styles.marks}>
        <Button type="primary" onClick={() => onMark("done", note, step.row === null ? null : "as-predicted")}>
          {step.row === null ? visitWords.done : visitWords.asPredicted}
        </Button>
        <Button onClick={() => onMark("not-done", note, null)}>{visitWords.notDone}</Button>
        <Button onClick={() => onMark("put-off", note, null)}>{visitWords.putOff}</Button>
      </div>
    </section>
  );
}
