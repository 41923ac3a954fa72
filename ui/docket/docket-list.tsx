"use client";

import { useVirtualizer } from "@tanstack/react-virtual";
import dayjs from "dayjs";
import { useEffect, useRef, type ReactNode } from "react";
import type { DocketLine } from "@/core/report";
import styles from "./docket.module.css";
import { DocketLineRow, type LineActs } from "./docket-line";
import { useDocketLines, type Docket, type DocketQuery } from "./use-docket-lines";
import { useIsPhone } from "@/ui/kit";
import { docketWords } from "@/ui/words";

/** A line takes more height on a phone, where its parts stand below each other. */
const LINE_PX = { wide: 98, phone: 178 } as const;
const AHEAD = 8;

/** The day book, however long: only the lines in sight are drawn, and the others are fetched as they come near. */
export function DocketList({ docket, query, acts }: { docket: Docket; query: DocketQuery; acts: LineActs }) {
  const scroller = useRef<HTMLElement>(null);
  const linePx = useIsPhone() ? LINE_PX.phone : LINE_PX.wide;
  const { lineAt, need } = useDocketLines(docket, query);
  // The compiler cannot follow this library's own state; nothing here is remembered across renders.
  // eslint-disable-next-line react-hooks/incompatible-library
  const virtual = useVirtualizer({
    count: docket.total,
    getScrollElement: () => scroller.current,
    estimateSize: () => linePx,
    overscan: AHEAD,
    initialRect: { width: 1200, height: 800 },
  });
  useEffect(() => virtual.measure(), [virtual, linePx]);
  const items = virtual.getVirtualItems();
  const [from, to] = [items[0]?.index ?? 0, items.at(-1)?.index ?? 0];
  useEffect(() => need(from, to), [need, from, to]);
  return (
    <main ref={scroller} className={styles.book} tabIndex={-1}>
      <ul className={styles.lines} style={{ height: virtual.getTotalSize() }} aria-label={docketWords.jobsByDay}>
        {items.map(({ index, start }) => {
          const line = lineAt(index);
          const before = index > 0 ? lineAt(index - 1) : null;
          const opens = line !== null && (index === from || before === null || before.visitOn !== line.visitOn);
          return (
            <li
              key={line?.id ?? index}
              className={styles.place}
              style={{ transform: `translateY(${start}px)` }}
              aria-setsize={docket.total}
              aria-posinset={index + 1}
            >
              <div className={styles.dayCell}>{line && opens ? <DayName day={line.visitOn} /> : null}</div>
              {line ? <DocketLineRow line={line} acts={acts} /> : <span className={styles.coming}>…</span>}
            </li>
          );
        })}
      </ul>
    </main>
  );
}

function DayName({ day }: { day: DocketLine["visitOn"] }): ReactNode {
  if (!day) return <h2>{docketWords.noDayAgreed}</h2>;
  const date = dayjs(day);
  return (
    <h2>
      {date.format("D MMMM")} <span>{date.format("dddd, YYYY")}</span>
    </h2>
  );
}
