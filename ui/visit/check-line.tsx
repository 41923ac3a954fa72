"use client";

import { Button } from "antd";
import { Check } from "lucide-react";
import type { Job, VisitEntry } from "@/core/job";
import { checkState, toCount, type ProofCheck } from "@/core/proof";
import { arrivalSentence, checkTitle, PROOF_STATE_WORDS, seenWords, streamWords } from "@/core/text";
import { CordThumbnail } from "@/ui/kit";
import { visitWords } from "@/ui/words";
import { ProofShape } from "./proof-shape";
import styles from "./prove.module.css";

interface CheckLineProps {
  readonly job: Job;
  readonly check: ProofCheck;
  readonly screen: string | undefined;
  readonly entry: VisitEntry | undefined;
  readonly isCurrent: boolean;
  readonly onChoose: () => void;
  readonly onTick: () => void;
}

/** A check as a line of the score: what plays, its cord, what the display should say, and a tick of a thumb's size. */
export function CheckLine({ job, check, screen, entry, isCurrent, onChoose, onTick }: CheckLineProps) {
  const state = checkState(toCount(check), entry);
  const title = checkTitle(job, check, screen);
  return (
    <li className={styles.line} data-state={state} aria-current={isCurrent || undefined}>
      <button type="button" onClick={onChoose}>
        <b dir="auto">{title}</b>
        {check.check === "row" ? (
          <>
            <CordThumbnail arrival={check.row} label={arrivalSentence(job, check.row)} width={150} />
            <code>{check.row.arrives ? streamWords(check.row.arrives) : visitWords.staysSilent}</code>
          </>
        ) : null}
        <span className={styles.state}>
          <ProofShape state={state} /> {state === "otherwise" && entry?.sees ? seenWords(job, entry.sees) : PROOF_STATE_WORDS[state]}
        </span>
      </button>
      <Button
        icon={<Check size={20} aria-hidden />}
        aria-label={`${visitWords.asPredicted}: ${title}`}
        title={visitWords.asPredicted}
        disabled={state === "proven"}
        onClick={onTick}
      />
    </li>
  );
}
