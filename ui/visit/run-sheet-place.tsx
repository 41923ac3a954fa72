"use client";

import { useMemo } from "react";
import { durationWords, scheduleSentence, visitStepWords } from "@/core/text";
import {
  minutesOf,
  observationsOf,
  partsOfSteps,
  progressOf,
  rangeOf,
  runSheet,
  waitOf,
  type MinutesTable,
  type VisitProgress,
  type VisitStep,
} from "@/core/visit";
import { EffectLine, Sheet, useIntents, useJob } from "@/ui/job";
import { useChosen } from "@/ui/kit";
import { visitWords } from "@/ui/words";
import { AddStep } from "./add-step";
import { Explanations } from "./explanations";
import { RunSheetHead } from "./run-sheet-head";
import { StepActs } from "./step-acts";
import { StepCard } from "./step-card";
import { StepList } from "./step-list";
import { useVisit, type Entered } from "./use-visit";
import { useWaits } from "./use-waits";
import styles from "./visit.module.css";
import { WaitsBar } from "./waits-bar";

/** How many of the steps that come next are named below the one in hand. */
const NEXT = 3;

/** The steps of the visit, one at a time, in the order that takes least time. */
export function RunSheetPlace({ minutes: table }: { minutes: MinutesTable }) {
  const id = useJob((state) => state.id);
  const job = useJob((state) => state.job);
  const rows = useJob((state) => state.board);
  const { edit } = useIntents();
  const [chosenId, choose] = useChosen("step");
  const { people } = job.visit;
  const { record, isKnown, enter } = useVisit(id);
  const { waits, start, stop } = useWaits(id);
  const sheet = useMemo(() => runSheet(job, people, table, record.entries), [job, people, table, record]);
  const running = waits
    .filter(({ leftMs }) => leftMs > 0)
    .map(({ step }) => step)
    .join("\n");
  const progress = useMemo(
    () => progressOf(job, sheet.steps, record.entries, people, { table, waiting: new Set(running.split("\n")) }),
    [job, sheet, record, people, table, running],
  );
  const parts = useMemo(() => partsOfSteps(job, sheet.steps), [job, sheet]);
  const observations = useMemo(() => observationsOf(sheet.steps, record.entries), [sheet, record]);
  const current = sheet.steps.find((step) => step.id === chosenId) ?? progress.left[0] ?? null;
  const next = progress.left.filter((step) => step.id !== current?.id).slice(0, NEXT);
  const nameOf = (step: string) => {
    const found = sheet.steps.find((one) => one.id === step);
    return found ? visitStepWords(job, found, rows) : step;
  };
  const take = (step: VisitStep) => (entered: Entered) => {
    enter(entered);
    if (entered.state === "done" && waitOf(step, table) > 0) start(step.id, waitOf(step, table));
    choose(null);
  };
  return (
    <Sheet
      marginLabel={visitWords.allSteps}
      margin={<StepList job={job} rows={rows} sheet={sheet} progress={progress} current={current?.id ?? null} onChoose={choose} />}
      foot={<EffectLine />}
    >
      <div className={styles.visit}>
        <RunSheetHead job={job} jobId={id} />
        {isKnown ? (
          <Progress progress={progress} all={sheet.steps.length} agreed={job.visit.agreedMinutes} unsent={record.unsent.length} />
        ) : (
          <p role="status">{visitWords.readingRecord}</p>
        )}
        <WaitsBar waits={waits} nameOf={nameOf} onStop={stop} />
        {current && isKnown ? (
          <>
            <StepCard
              key={`${current.id} ${progress.states.get(current.id)?.id ?? ""}`}
              job={job}
              jobId={id}
              step={current}
              rows={rows}
              entry={progress.states.get(current.id)}
              isDone={progress.done.has(current.id)}
              parts={parts.get(current.id) ?? []}
              minutes={rangeOf(current, table)}
              onEnter={take(current)}
            />
            <StepActs jobId={id} step={current} steps={sheet.steps} />
          </>
        ) : isKnown ? (
          <p className={styles.over}>{visitWords.allDone}</p>
        ) : null}
        <Explanations job={job} observations={observations} onEdit={edit} />
        {isKnown && next.length ? (
          <section aria-label={visitWords.next}>
            <h3>{visitWords.next}</h3>
            <ul className={styles.next}>
              {next.map((step) => (
                <li key={step.id}>
                  {visitStepWords(job, step, rows)} <span className={styles.quiet}>{durationWords(minutesOf(step, table))}</span>
                </li>
              ))}
            </ul>
          </section>
        ) : null}
        <AddStep key={current?.id ?? ""} job={job} after={current?.id ?? null} before={next[0]?.id ?? null} />
        {progress.beyond.length ? <p className={styles.quiet}>{visitWords.beyond(progress.beyond.length)}</p> : null}
        <p className={styles.quiet}>{scheduleSentence(sheet)}</p>
      </div>
    </Sheet>
  );
}

/** What is left, against the time that the household was told. */
function Progress({ progress, all, agreed, unsent }: { progress: VisitProgress; all: number; agreed: number | null; unsent: number }) {
  return (
    <p role="status" className={styles.quiet}>
      {visitWords.progress(progress.done.size, all, durationWords(progress.minutesLeft))}{" "}
      {agreed === null ? "" : `${visitWords.agreed(durationWords(agreed), progress.minutesLeft > agreed)} `}
      {unsent ? visitWords.unsent(unsent) : ""}
    </p>
  );
}
