"use client";

import type { Remote } from "comlink";
import { Button } from "antd";
import { useMemo } from "react";
import type { Command, Job } from "@/core/job";
import type { Explained, Observation } from "@/core/proof";
import { explainedSentence, wrongFactSentence } from "@/core/text";
import { answerOf, useWorker, WorkNote } from "@/ui/kit";
import { visitWords } from "@/ui/words";
import type { ProofWorker } from "@/workers/proof-worker";
import styles from "./visit.module.css";

interface Question {
  readonly job: Job;
  readonly observations: readonly Observation[];
}

const EXPLAIN = {
  start: () => new Worker(new URL("../../workers/proof-worker.ts", import.meta.url), { type: "module" }),
  ask: async (api: Remote<ProofWorker>, { job, observations }: Question) => api.explain(job, observations),
};

const MOST_SHOWN = 5;

/** What would explain what was seen, each a single fact of this room, and the way to correct the job by it. */
export function Explanations({
  job,
  observations,
  onEdit,
}: {
  job: Job;
  observations: readonly Observation[];
  onEdit: (command: Command) => void;
}) {
  const question = useMemo(
    () => (observations.some(({ sees }) => sees !== "as-predicted") ? { job, observations } : null),
    [job, observations],
  );
  const working = useWorker<ProofWorker, Question, Explained>(question, EXPLAIN);
  const explained = answerOf(working.work);
  if (!question) return null;
  return (
    <section className={styles.card} aria-label={visitWords.whatExplains}>
      <h3>{visitWords.whatExplains}</h3>
      <WorkNote working={working} words={visitWords.explaining} />
      {explained ? <p>{explainedSentence(explained)}</p> : null}
      <ul className={styles.facts}>
        {explained?.explanations.slice(0, MOST_SHOWN).map(({ fact, command, explains, others }) => (
          <li key={JSON.stringify(fact)}>
            <span>
              {wrongFactSentence(job, fact)}{" "}
              <span className={styles.quiet}>{visitWords.explains(explains, explained.observed, others)}</span>
            </span>
            <Button onClick={() => onEdit(command)}>{visitWords.correctTheJob}</Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
