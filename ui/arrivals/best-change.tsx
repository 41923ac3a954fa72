"use client";

import { Button } from "antd";
import { commandOf } from "@/core/plan";
import { proofSentence, setWords, tieWords } from "@/core/text";
import { useIntents, useJob, type Changes } from "@/ui/job";
import { WorkNote } from "@/ui/kit";
import styles from "./arrivals.module.css";
import { arrivalsWords } from "@/ui/words";

/** The one thing to do next: the smallest set of changes that lifts all it can, lowering nothing, and how sure that is. */
export function BestChange({ changes: { smallest, working } }: { changes: Changes }) {
  const job = useJob((state) => state.job);
  const { edit } = useIntents();
  if (
    smallest?.proof === "every-row" &&
    smallest.best.changes.length === 0 &&
    smallest.best.after.every(({ verdict }) => verdict === "full")
  )
    return null;
  return (
    <div className={styles.best}>
      <span>
        <b>{arrivalsWords.smallestChange}</b>
        {smallest ? (
          <span aria-live="polite">{setWords(job, smallest)}</span>
        ) : (
          <WorkNote working={working} words={arrivalsWords.tryingSetsOfChanges} />
        )}
        {smallest ? (
          <span className={styles.quiet}>
            {[proofSentence(smallest), tieWords(job, smallest)].filter((words) => words !== null).join(" ")}
          </span>
        ) : null}
      </span>
      {smallest?.best.changes.length ? (
        <Button type="primary" onClick={() => edit(commandOf(smallest.best))}>
          {arrivalsWords.tryIt}
        </Button>
      ) : null}
    </div>
  );
}
