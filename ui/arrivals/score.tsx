"use client";

import type { Arrival } from "@/core/chain";
import { passedDevices, scoreColumns } from "@/core/drawing";
import { LegendButton } from "@/ui/kit";
import { useJob } from "@/ui/job";
import styles from "./arrivals.module.css";
import { ScoreRow } from "./score-row";
import { STAFF_LEFT, STAFF_WIDTH, staffXs } from "./staff";
import { arrivalsWords } from "@/ui/words";

interface ScoreProps {
  readonly rows: readonly Arrival[];
  readonly chosen: string;
  readonly onChoose: (id: string) => void;
}

/** The rows of the board as a score: bar lines for what they pass, a cord for each. */
export function Score({ rows, chosen, onChoose }: ScoreProps) {
  const job = useJob((state) => state.job);
  const board = useJob((state) => state.board);
  const effect = useJob((state) => state.effect);
  const columns = scoreColumns(job, board);
  const xs = staffXs(columns.length);
  const passed = passedDevices(board);
  const before = new Map(effect?.before.map((arrival) => [arrival.id, arrival]));
  return (
    <div className={styles.score} data-score>
      <div className={styles.headings}>
        <LegendButton />
        <svg viewBox={`0 0 ${STAFF_WIDTH} 40`} className={styles.staff} aria-hidden>
          {columns.map(({ key, heading }, index) => (
            <Heading key={key} x={xs[index] ?? 0} text={heading} isFirst={index === 0} room={index === columns.length - 1 ? 14 : 16} />
          ))}
        </svg>
        <span aria-hidden>{arrivalsWords.whatPlays}</span>
      </div>
      <ol className={styles.rows}>
        {rows.map((arrival) => (
          <li key={arrival.id}>
            <ScoreRow
              arrival={arrival}
              columns={columns}
              xs={xs}
              passed={passed}
              chosen={arrival.id === chosen}
              was={before.get(arrival.id) ?? null}
              onChoose={() => onChoose(arrival.id)}
            />
          </li>
        ))}
      </ol>
    </div>
  );
}

/** A heading over its bar line, cut to the letters that have room there. */
function Heading({ x, text, isFirst, room }: { x: number; text: string; isFirst: boolean; room: number }) {
  const short = text.length > room ? `${text.slice(0, room - 1)}…` : text;
  return (
    <text x={x} y={24} textAnchor={isFirst ? "start" : "middle"} dx={isFirst ? -STAFF_LEFT : 0}>
      <title>{text}</title>
      {short}
    </text>
  );
}
