"use client";

import type { Arrival } from "@/core/chain";
import type { Job } from "@/core/job";
import { durationWords, visitStepWords } from "@/core/text";
import type { RunSheet, VisitProgress } from "@/core/visit";
import { visitWords } from "@/ui/words";
import styles from "./visit.module.css";

interface StepListProps {
  readonly job: Job;
  readonly rows: readonly Arrival[];
  readonly sheet: RunSheet;
  readonly progress: VisitProgress;
  readonly current: string | null;
  readonly onChoose: (step: string) => void;
}

/** Every step in the order of the schedule, with what became of it. */
export function StepList({ job, rows, sheet, progress, current, onChoose }: StepListProps) {
  return (
    <ol className={styles.list}>
      {sheet.steps.map((step) => {
        const entered = progress.states.get(step.id)?.state ?? "open";
        const state = progress.done.has(step.id) ? "done" : entered === "done" ? "open" : entered;
        return (
          <li key={step.id}>
            <button
              type="button"
              aria-current={step.id === current ? "step" : undefined}
              data-state={state}
              onClick={() => onChoose(step.id)}
            >
              <span className={styles.time}>
                {durationWords(step.starts)}
                {sheet.people === 2 ? <b> {visitWords.person(step.person + 1)}</b> : null}
              </span>
              <span>
                {visitStepWords(job, step, rows)}
                {state === "open" ? null : <em> {visitWords.states[state]}</em>}
              </span>
            </button>
          </li>
        );
      })}
    </ol>
  );
}
