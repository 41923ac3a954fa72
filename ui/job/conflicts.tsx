"use client";

import { Button } from "antd";
import { upperFirst } from "@/core/text";
import { useIntents, useJob } from "./job-context";
import styles from "./job-frame.module.css";

/** What two windows changed differently: both are shown, and nothing is lost until one is chosen. */
export function Conflicts() {
  const conflicts = useJob((state) => state.conflicts);
  const { settle } = useIntents();
  if (conflicts.length === 0) return null;
  return (
    <section className={styles.conflicts} aria-label="Changed in two windows" role="alert">
      <b>Changed here and in another window</b>
      <ul>
        {conflicts.map((conflict) => (
          <li key={`${conflict.mine} ${conflict.theirs}`}>
            <span>
              Here: {upperFirst(conflict.mine)}. There: {upperFirst(conflict.theirs)}.
            </span>
            <Button size="small" onClick={() => settle(conflict, "mine")}>
              Keep this one
            </Button>
            <Button size="small" onClick={() => settle(conflict, "theirs")}>
              Take the other
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
