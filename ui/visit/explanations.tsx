"use client";

import type { Remote } from "comlink";
import { Button } from "antd";
import dayjs from "dayjs";
import { useMemo, useState } from "react";
import { applyCommand, findDevice, type Command, type Job } from "@/core/job";
import { factOfClass, type Explained, type Explanation, type Observation } from "@/core/proof";
import { deviceName, explainedSentence, wrongFactSentence } from "@/core/text";
import { answerOf, useWorker, WorkNote } from "@/ui/kit";
import { keepOnShelf } from "@/ui/shelf";
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

/** Loads the worker while there is a network, so that it is there on site without one. */
const LOAD = { start: EXPLAIN.start, ask: async (api: Remote<ProofWorker>) => api.load() };

const MOST_SHOWN = 5;

interface ExplanationsProps {
  readonly job: Job;
  readonly observations: readonly Observation[];
  readonly onEdit: (command: Command) => void;
}

/** What would explain what was seen, each a single fact of this room, and the ways to correct the job, or the shelf too, by it. */
export function Explanations({ job, observations, onEdit }: ExplanationsProps) {
  useWorker("load", LOAD);
  const [told, setTold] = useState<string | null>(null);
  const question = useMemo(
    () => (observations.some(({ sees }) => sees !== "as-predicted") ? { job, observations } : null),
    [job, observations],
  );
  const working = useWorker<ProofWorker, Question, Explained>(question, EXPLAIN);
  const explained = answerOf(working.work);
  if (!question) return null;
  const isOpen = explained !== null && explained.unexpected > 0 && explained.explanations.length === 0;
  return (
    <section className={styles.card} aria-label={visitWords.whatExplains}>
      <h3>{visitWords.whatExplains}</h3>
      <WorkNote working={working} words={visitWords.explaining} />
      {explained ? <p>{explained.unexpected ? explainedSentence(explained) : visitWords.explainedSince}</p> : null}
      {isOpen ? (
        <p>
          <b>{visitWords.forFix}:</b> {visitWords.forFixWords}
        </p>
      ) : null}
      <ul className={styles.facts}>
        {explained?.explanations.slice(0, MOST_SHOWN).map((one) => (
          <li key={JSON.stringify(one.fact)}>
            <span>
              {wrongFactSentence(job, one.fact)}{" "}
              <span className={styles.quiet}>{visitWords.explains(one.explains, explained.observed, one.others)}</span>
            </span>
            {one.isNoted ? (
              <b>{visitWords.isNoted}</b>
            ) : (
              <span className={styles.ways}>
                <Button onClick={() => onEdit(one.command)}>{visitWords.correctTheJob}</Button>
                {factOfClass(one.fact) === null ? null : (
                  <Button
                    onClick={() => {
                      void keepCorrected(job, one).then(setTold);
                      onEdit(one.command);
                    }}
                  >
                    {visitWords.correctTheShelf}
                  </Button>
                )}
              </span>
            )}
          </li>
        ))}
      </ul>
      <p role="status">{told}</p>
    </section>
  );
}

/** Keeps the device with the corrected fact on the shelf, with the day and the job as its source; gives a sentence of how that went. */
async function keepCorrected(job: Job, { fact, command }: Explanation): Promise<string | null> {
  const id = factOfClass(fact);
  const applied = applyCommand(job, command);
  const device = id !== null && applied.ok ? findDevice(applied.value.job, id) : undefined;
  if (!device) return null;
  const day = dayjs().format("D MMM YYYY");
  const name = visitWords.seenOn(deviceName(job, device.id), day);
  const note = [device.note, visitWords.seenOnNote(wrongFactSentence(job, fact), job.name, day)].filter(Boolean).join(" ");
  const kept = { ...device, name, note: note.slice(0, 4000), room: null, supply: "there" as const };
  const outcome = await keepOnShelf(kept);
  return outcome.ok ? visitWords.keptOnShelf(name) : outcome.refusal;
}
