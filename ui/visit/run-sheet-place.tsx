"use client";

import { Button } from "antd";
import { useMemo } from "react";
import { durationWords, scheduleSentence, visitStepWords } from "@/core/text";
import { observationsOf, progressOf, runSheet, settingLeft, visitSteps } from "@/core/visit";
import { EffectLine, Sheet, useIntents, useJob } from "@/ui/job";
import { Switcher, useChosen } from "@/ui/kit";
import { visitWords } from "@/ui/words";
import { Explanations } from "./explanations";
import { StepCard } from "./step-card";
import { useVisit } from "./use-visit";
import styles from "./visit.module.css";

const PEOPLE = [
  { key: "1", name: visitWords.onePerson },
  { key: "2", name: visitWords.twoPeople },
] as const;

/** The steps of the visit, one at a time, in the order that takes least time. */
export function RunSheetPlace() {
  const id = useJob((state) => state.id);
  const job = useJob((state) => state.job);
  const rows = useJob((state) => state.board);
  const [wanted, setPeople] = useChosen("people");
  const [chosenId, choose] = useChosen("step");
  const people = wanted === "2" ? 2 : 1;
  const { record, mark } = useVisit(id);
  const { edit } = useIntents();
  const sheet = useMemo(() => runSheet(job, people), [job, people]);
  const steps = useMemo(() => visitSteps(job), [job]);
  const progress = useMemo(() => progressOf(steps, record.entries, people), [steps, record, people]);
  const observations = useMemo(() => observationsOf(steps, record.entries), [steps, record]);
  const current = steps.find((step) => step.id === chosenId) ?? progress.left[0] ?? null;
  const timed = sheet.steps.find((step) => step.id === current?.id);
  const next = progress.left.filter((step) => step.id !== current?.id).slice(0, 3);
  return (
    <Sheet
      marginLabel={visitWords.allSteps}
      margin={
        <ol className={styles.list}>
          {sheet.steps.map((step) => {
            const state = progress.states.get(step.id)?.state ?? "open";
            return (
              <li key={step.id}>
                <button
                  type="button"
                  aria-current={step.id === current?.id ? "step" : undefined}
                  data-state={state}
                  onClick={() => choose(step.id)}
                >
                  <span className={styles.time}>
                    {durationWords(step.starts)}
                    {people === 2 ? <b> {visitWords.person(step.person + 1)}</b> : null}
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
      }
      foot={<EffectLine />}
    >
      <div className={styles.visit}>
        <header>
          <h2 className="for-ears-only">{visitWords.runSheet}</h2>
          <Switcher label={visitWords.whoWorks} choices={PEOPLE} chosen={people === 2 ? "2" : "1"} onChoose={setPeople} />
          <span className={styles.labels}>
            <Button size="small" href={`/api/jobs/${id}/labels?as=pdf`} download>
              {visitWords.labelsPdf}
            </Button>
            <Button size="small" href={`/api/jobs/${id}/labels?as=csv`} download>
              {visitWords.labelsCsv}
            </Button>
          </span>
        </header>
        <p role="status" className={styles.quiet}>
          {visitWords.progress(progress.done, steps.length, durationWords(progress.minutesLeft))}{" "}
          {record.unsent.length ? visitWords.unsent(record.unsent.length) : ""}
        </p>
        {current ? (
          <StepCard
            key={current.id}
            job={job}
            step={current}
            rows={rows}
            waitMinutes={timed?.waitMinutes ?? 0}
            onMark={(state, note, sees) => {
              mark(current.id, state, { note, sees });
              const left = state === "done" ? settingLeft(job, current) : null;
              if (left) edit(left);
              choose(null);
            }}
          />
        ) : (
          <p className={styles.over}>{visitWords.allDone}</p>
        )}
        <Explanations job={job} observations={observations} onEdit={edit} />
        {next.length ? (
          <section aria-label={visitWords.next}>
            <h3>{visitWords.next}</h3>
            <ul className={styles.next}>
              {next.map((step) => (
                <li key={step.id}>{visitStepWords(job, step, rows)}</li>
              ))}
            </ul>
          </section>
        ) : null}
        {progress.beyond.length ? <p className={styles.quiet}>{visitWords.beyond(progress.beyond.length)}</p> : null}
        <p className={styles.quiet}>{scheduleSentence(sheet)}</p>
      </div>
    </Sheet>
  );
}
