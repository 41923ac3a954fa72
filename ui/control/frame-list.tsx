"use client";

import { useEffect, useRef } from "react";
import type { Household } from "@/core/cec";
import { addressNamesOf, frameBytes, frameWords, stateChangeWords } from "@/core/text";
import { useJob } from "@/ui/job";
import { controlWords } from "@/ui/words";
import styles from "./frames.module.css";
import type { Ruler } from "./ruler";

interface FrameListProps {
  readonly household: Household;
  readonly ruler: Ruler;
  readonly chosen: string | null;
  readonly onChoose: (key: string) => void;
}

/** What happens in an act, in its order: words first, the bytes beside them. */
export function FrameList({ household, ruler, chosen, onChoose }: FrameListProps) {
  const job = useJob((state) => state.job);
  const list = useRef<HTMLOListElement>(null);
  useEffect(() => {
    if (chosen) list.current?.querySelector(`[data-mark="${chosen}"]`)?.scrollIntoView({ block: "nearest" });
  }, [chosen]);
  return (
    <ol className={styles.frames} ref={list} aria-label={controlWords.whatHappens}>
      {ruler.marks.map((mark) => (
        <li key={mark.key} data-mark={mark.key}>
          <code className={styles.time}>{controlWords.at(mark.tMs)}</code>
          {mark.kind === "change" ? (
            <span className={styles.changed}>{stateChangeWords(job, mark.change)}</span>
          ) : (
            <button
              type="button"
              className={mark.key === chosen ? styles.lineChosen : styles.line}
              aria-pressed={mark.key === chosen}
              onClick={() => onChoose(mark.key)}
            >
              <span>
                {frameWords(mark.sent.frame, addressNamesOf(household, mark.sent.wire))}
                {mark.sent.acknowledged ? "" : ` ${controlWords.nobodyAnswers(mark.sent.again)}`}
              </span>
              <code>{frameBytes(mark.sent.bytes)}</code>
            </button>
          )}
        </li>
      ))}
    </ol>
  );
}
