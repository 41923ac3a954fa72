import type { Arrival, Verdict } from "@/core/chain";
import { verdictWords } from "@/core/text";
import styles from "./verdict-mark.module.css";

const TONE = { full: "whole", reduced: "part", silent: "silent", "no-picture": "silent", unknown: "quiet" } as const satisfies Record<
  Verdict,
  string
>;

/** The shape of a verdict; always beside its word. */
export function VerdictShape({ verdict, size = 16 }: { verdict: Verdict; size?: number }) {
  return (
    <svg className={styles[TONE[verdict]]} width={size} height={size} viewBox="0 0 16 16" aria-hidden="true">
      <Shape verdict={verdict} />
    </svg>
  );
}

function Shape({ verdict }: { verdict: Verdict }) {
  switch (verdict) {
    case "full":
      return <circle cx="8" cy="8" r="7.5" fill="currentColor" />;
    case "reduced":
      return (
        <g fill="none" stroke="currentColor" strokeWidth="1.8">
          <circle cx="8" cy="8" r="6.8" />
          <path d="M1.2 8a6.8 6.8 0 0 1 13.6 0z" fill="currentColor" stroke="none" />
        </g>
      );
    case "silent":
      return (
        <g fill="none" stroke="currentColor" strokeWidth="1.8">
          <circle cx="8" cy="8" r="6.8" />
          <path d="M3.4 12.6 12.6 3.4" />
        </g>
      );
    case "no-picture":
      return <rect x="1.5" y="3" width="13" height="10" fill="none" stroke="currentColor" strokeWidth="1.8" />;
    case "unknown":
      return (
        <g fill="none" stroke="currentColor" strokeWidth="1.6">
          <circle cx="8" cy="8" r="6.8" strokeDasharray="2.2 1.6" />
          <path d="M6.2 6.4a1.8 1.8 0 1 1 2.6 1.7c-.6.3-.8.7-.8 1.3M8 11.3v.8" />
        </g>
      );
  }
}

/** Shape and word together. */
export function VerdictMark({ row }: { row: Pick<Arrival, "verdict" | "losses"> }) {
  return (
    <span className={`${styles.mark} ${styles[TONE[row.verdict]]}`}>
      <VerdictShape verdict={row.verdict} />
      <b>{verdictWords(row)}</b>
    </span>
  );
}
