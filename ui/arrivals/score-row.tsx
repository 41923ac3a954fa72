"use client";

import type { Arrival } from "@/core/chain";
import {
  arrivalSentence,
  cautionFlag,
  deviceName,
  masterWords,
  pictureFlag,
  playedWords,
  reasonFlag,
  rowWords,
  verdictWords,
} from "@/core/text";
import { formatMilliseconds } from "@/core/units";
import { cordOf, stopsOf, type ScoreColumn } from "@/core/drawing";
import { CordView, VerdictMark } from "@/ui/kit";
import { useJob } from "@/ui/job";
import styles from "./arrivals.module.css";
import { STAFF_WIDTH } from "./staff";
import { arrivalsWords } from "@/ui/words";

const HEIGHT = 72;

interface ScoreRowProps {
  readonly arrival: Arrival;
  readonly columns: readonly ScoreColumn[];
  readonly xs: readonly number[];
  readonly passed: ReadonlySet<string>;
  readonly chosen: boolean;
  /** The row before the last edit; null where it is new. */
  readonly was: Arrival | null;
  readonly onChoose: () => void;
}

/** One row of the score: who plays what, the cord through the bar lines, and the verdict at its end. */
export function ScoreRow({ arrival, columns, xs, passed, chosen, was, onChoose }: ScoreRowProps) {
  const job = useJob((state) => state.job);
  const stops = stopsOf(arrival, passed);
  const cord = cordOf(arrival, stops);
  const places = stops.map(({ key }) => columns.findIndex((column) => column.key === key));
  const rowXs = [...places.map((place) => xs[place] ?? 0), xs.at(-1) ?? 0];
  const loss = arrival.losses.find(({ scope }) => scope === "path") ?? arrival.losses[0];
  const lossStop = cord.lossStop ?? (loss?.scope === "ceiling" ? stops.length - 1 : 0);
  const mind = pictureFlag(arrival) ?? cautionFlag(arrival.cautions);
  return (
    <button
      type="button"
      id={`row-${arrival.id}`}
      className={chosen ? styles.rowChosen : styles.row}
      aria-pressed={chosen}
      aria-label={arrivalSentence(job, arrival)}
      onClick={onChoose}
      data-verdict={arrival.verdict}
    >
      <span className={styles.who}>
        <b>{deviceName(job, arrival.player)}</b>
        <span>{rowWords(arrival)}</span>
        <code>{masterWords(arrival)}</code>
      </span>
      <svg viewBox={`0 0 ${STAFF_WIDTH} ${HEIGHT}`} className={styles.staff} aria-hidden>
        {columns.map(({ key }, index) => (
          <line key={key} className={styles.bar} x1={xs[index]} x2={xs[index]} y1={0} y2={HEIGHT} />
        ))}
        <CordView cord={cord} stops={stops} xs={rowXs} height={HEIGHT + 12} />
        {loss ? (
          <Flag
            text={reasonFlag(job, loss.reason)}
            x={rowXs[lossStop] ?? 0}
            tone={loss.scope === "ceiling" ? "ceiling" : arrival.verdict === "reduced" ? "part" : "silent"}
          />
        ) : null}
      </svg>
      {loss ? <span className={styles.flagWords}>{reasonFlag(job, loss.reason)}</span> : null}
      <span className={styles.end}>
        <VerdictMark row={arrival} />
        <span>
          {playedWords(arrival.plays, arrival.arrives)}
          {arrival.delayMs === null ? null : <code>{formatMilliseconds(arrival.delayMs)}</code>}
        </span>
        {was && verdictWords(was) !== verdictWords(arrival) ? (
          <span className={styles.was}>{arrivalsWords.was(verdictWords(was).toLowerCase())}</span>
        ) : mind ? (
          <span className={styles.mind}>{mind}</span>
        ) : null}
      </span>
    </button>
  );
}

/** The number that ended the strings, at the spot, kept inside the staff. */
const FLAG_TONE = { ceiling: styles.flagCeiling, part: styles.flagPart, silent: styles.flagSilent } as const;

function Flag({ text, x, tone }: { text: string; x: number; tone: keyof typeof FLAG_TONE }) {
  const width = text.length * 6.9;
  const start = Math.max(0, Math.min(x - 4, STAFF_WIDTH - width));
  return (
    <text x={start} y={13} className={FLAG_TONE[tone]}>
      {text}
    </text>
  );
}
