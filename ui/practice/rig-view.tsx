"use client";

import { Button } from "antd";
import { useEffect, useRef, useState } from "react";
import type { ScoreReport } from "@/core/report";
import { durationWords, takenSentence } from "@/core/text";
import { Suspects, SuspectMap } from "@/ui/fix";
import { practiceWords } from "@/ui/words";
import styles from "./practice.module.css";
import { ScoreCard } from "./score-card";
import { StepChoice } from "./step-choice";
import { useRig, type RigWish } from "./use-rig";

interface RigViewProps {
  readonly wish: RigWish;
  readonly onFinished: (score: ScoreReport) => void;
  readonly onNext: () => void;
  readonly onAgain: () => void;
}

/** One rig: what the household says, what can be done, what it showed, and in the end the score. */
export function RigView({ wish, onFinished, onNext, onAgain }: RigViewProps) {
  const { state, rig, line, score, take, giveUp } = useRig(wish);
  const [isOpen, setOpen] = useState(false);
  const isFound = line.at(-1)?.step.answer === "mended";
  const told = useRef(false);
  useEffect(() => {
    if (!score || !isFound || told.current) return;
    told.current = true;
    onFinished(score);
  }, [score, isFound, onFinished]);
  if (state === "failed") return <p role="alert">{practiceWords.failed}</p>;
  if (state === "no-fault") return <p role="alert">{practiceWords.noFault}</p>;
  if (!rig) return <p role="status">{practiceWords.making}</p>;
  const minutes = line.reduce((sum, { step }) => sum + step.minutes, 0);
  const suspects = line.at(-1)?.suspects ?? [];
  const wordsOf = (check: string) => rig.checks.find(({ id }) => id === check)?.says ?? check;
  return (
    <div className={styles.rig}>
      <div className={styles.work}>
        <section className={styles.told}>
          <p>
            <b>{practiceWords.household}:</b> {rig.symptoms.map(({ says }) => says).join("; ")}
          </p>
          <p role="status" className={styles.quiet}>
            {practiceWords.spent(durationWords(minutes), line.length)}
          </p>
        </section>
        {score ? (
          <ScoreCard score={score} isFound={isFound} onNext={onNext} onAgain={onAgain} />
        ) : (
          <StepChoice checks={rig.checks} onTake={take} />
        )}
      </div>
      <div className={styles.beside}>
        <SuspectMap job={rig.job} suspects={isOpen || score ? suspects : []} />
        {line.length ? (
          <section aria-label={practiceWords.line}>
            <h3>{practiceWords.line}</h3>
            <ol className={styles.line}>
              {line.map(({ step, says }, index) => (
                <li key={`${index} ${step.check}`}>{`${takenSentence(wordsOf(step.check), says)} (${durationWords(step.minutes)})`}</li>
              ))}
            </ol>
          </section>
        ) : null}
        {line.length && !score ? (
          <div className={styles.ways}>
            <Button aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
              {isOpen ? practiceWords.hideSuspects : practiceWords.showSuspects}
            </Button>
            <Button onClick={giveUp}>{practiceWords.giveUp}</Button>
          </div>
        ) : null}
        {isOpen && !score && suspects.length ? <Suspects suspects={suspects} /> : null}
      </div>
    </div>
  );
}
