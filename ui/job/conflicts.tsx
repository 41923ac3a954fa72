"use client";

import { Button } from "antd";
import { upperFirst } from "@/core/text";
import { useIntents, useJob } from "./job-context";
import styles from "./conflicts.module.css";
import { jobWords } from "@/ui/words";

/** What two windows changed differently: both are shown, and nothing is lost until one is chosen. */
export function Conflicts() {
  const conflicts = useJob((state) => state.conflicts);
  const { settle } = useIntents();
  if (conflicts.length === 0) return null;
  return (
    <section className={styles.conflicts} aria-label={jobWords.changedInTwoWindows} role="alert">
      <b>{jobWords.changedHereAndThere}</b>
      <ul>
        {conflicts.map((conflict) => (
          <li key={`${conflict.mine} ${conflict.theirs}`}>
            <span>{jobWords.hereAndThere(upperFirst(conflict.mine), upperFirst(conflict.theirs))}</span>
            <Button size="small" onClick={() => settle(conflict, "mine")}>
              {jobWords.keepThisOne}
            </Button>
            <Button size="small" onClick={() => settle(conflict, "theirs")}>
              {jobWords.takeTheOther}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
