"use client";

import { Button } from "antd";
import { visitWords } from "@/ui/words";
import type { Wait } from "./use-waits";
import styles from "./visit.module.css";

/** The waits that run, each with the time left; one that is over stays until somebody has seen it. */
export function WaitsBar({
  waits,
  nameOf,
  onStop,
}: {
  waits: readonly Wait[];
  nameOf: (step: string) => string;
  onStop: (step: string) => void;
}) {
  if (waits.length === 0) return null;
  return (
    <ul className={styles.waits} aria-label={visitWords.waits}>
      {waits.map(({ step, leftMs }) => (
        <li key={step} data-over={leftMs === 0 || undefined}>
          <b role="timer">{leftMs > 0 ? minutesAndSeconds(leftMs) : visitWords.waited}</b>
          <span dir="auto">{nameOf(step)}</span>
          <Button onClick={() => onStop(step)}>{leftMs > 0 ? visitWords.stopTimer : visitWords.seen}</Button>
        </li>
      ))}
    </ul>
  );
}

export const minutesAndSeconds = (ms: number): string => {
  const seconds = Math.ceil(ms / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
};
