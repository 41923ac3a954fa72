"use client";

import type { JudgedAct, Station } from "@/core/cec";
import { deviceName, stateChangeWords } from "@/core/text";
import { useJob } from "@/ui/job";
import { controlWords } from "@/ui/words";
import styles from "./control.module.css";
import { bandsOf, RULER, type Mark, type Ruler } from "./ruler";

interface BusRulerProps {
  readonly judged: JudgedAct;
  readonly ruler: Ruler;
  readonly chosen: string | null;
  readonly onChoose: (key: string) => void;
}

/** An act on the wire: a lane for each device, its power as a band, frames from lane to lane in their order. */
export function BusRuler({ judged, ruler, chosen, onChoose }: BusRulerProps) {
  const job = useJob((state) => state.job);
  const { start, trace } = judged.played;
  const lanes = [...start.values()].filter(({ nature }) => nature.kind !== "switch");
  const height = RULER.head + lanes.length * RULER.lane;
  const yOf = (device: string) => RULER.head + lanes.findIndex(({ nature }) => nature.device === device) * RULER.lane + RULER.lane / 2;
  const holder = (wire: number, address: number) =>
    lanes.find(({ nature }) => nature.wire === wire && nature.logical === address && address !== 15)?.nature.device;
  return (
    <div className={styles.ruler} role="group" aria-label={controlWords.ruler}>
      <svg width={ruler.width} height={height} className={styles.staff} aria-hidden>
        {lanes.map((station) => (
          <Lane
            key={station.nature.device}
            name={deviceName(job, station.nature.device)}
            station={station}
            y={yOf(station.nature.device)}
            width={ruler.width}
            bands={bandsOf(ruler, station.nature.device, station.power)}
          />
        ))}
        {ruler.pauses.map(({ x, width, ms }) => (
          <g key={x} className={styles.pause}>
            <path d={`M${x + 8} ${RULER.head - 14}h${width - 16}`} strokeDasharray="3 4" />
            <text x={x + width / 2} y={RULER.head - 20} textAnchor="middle">
              {controlWords.seconds(ms / 1000)}
            </text>
          </g>
        ))}
        {ruler.marks.map((mark) => (
          <MarkShape
            key={mark.key}
            mark={mark}
            chosen={mark.key === chosen}
            y={yOf}
            to={mark.kind === "frame" ? holder(mark.sent.wire, mark.sent.frame.to) : undefined}
            lanes={lanes}
          />
        ))}
      </svg>
      <ol className={styles.hits} style={{ width: ruler.width, height }}>
        {ruler.marks.flatMap((mark) =>
          mark.kind === "frame"
            ? [
                <li key={mark.key}>
                  <button
                    type="button"
                    tabIndex={-1}
                    style={{ left: mark.x - RULER.frame / 2, top: RULER.head - 10, width: RULER.frame, height: height - RULER.head + 10 }}
                    aria-label={controlWords.frameAt(Math.round(mark.tMs))}
                    onClick={() => onChoose(mark.key)}
                  />
                </li>,
              ]
            : [],
        )}
      </ol>
      <p className="for-ears-only">{trace.changes.map((change) => stateChangeWords(job, change)).join(" ")}</p>
    </div>
  );
}

function Lane({
  name,
  station,
  y,
  width,
  bands,
}: {
  name: string;
  station: Station;
  y: number;
  width: number;
  bands: ReturnType<typeof bandsOf>;
}) {
  const { logical, physical } = station.nature;
  return (
    <g>
      <path d={`M${RULER.left} ${y}H${width - 12}`} className={styles.wire} />
      {bands.map(({ from, to, power }) => (
        <rect key={from} x={from} y={y - 7} width={to - from} height={14} rx={3} className={styles[power]} />
      ))}
      <text x={0} y={y - 3} className={styles.laneName}>
        {name.length > 18 ? `${name.slice(0, 17)}…` : name}
      </text>
      <text x={0} y={y + 14} className={styles.laneAddress}>
        {logical === null ? controlWords.silent : controlWords.addressed(logical, physical)}
      </text>
    </g>
  );
}

function MarkShape({
  mark,
  chosen,
  y,
  to,
  lanes,
}: {
  mark: Mark;
  chosen: boolean;
  y: (device: string) => number;
  to: string | undefined;
  lanes: readonly Station[];
}) {
  if (mark.kind === "change") {
    const { device, what } = mark.change;
    // Power is the band itself; a source that turned is told by the frame that turned it.
    return what === "power" || what === "source" ? null : <path d={`M${mark.x} ${y(device) + 9}l5 9h-10z`} className={styles.turned} />;
  }
  const { sent } = mark;
  const from = y(sent.device);
  const heard = to
    ? [to]
    : lanes
        .filter(({ nature }) => nature.wire === sent.wire && nature.logical !== null && nature.device !== sent.device)
        .map(({ nature }) => nature.device);
  const ends = sent.acknowledged ? heard.map(y) : [];
  const [top, bottom] = [Math.min(from, ...ends), Math.max(from, ...ends)];
  return (
    <g className={chosen ? styles.frameChosen : sent.acknowledged ? styles.frame : styles.frameLost}>
      <path d={`M${mark.x} ${top}V${bottom}`} />
      <circle cx={mark.x} cy={from} r={5} className={styles.sender} />
      {ends.map((end) => (
        <path key={end} d={`M${mark.x - 5} ${end + (end > from ? -6 : 6)}L${mark.x} ${end}l5 ${end > from ? -6 : 6}`} />
      ))}
      {sent.acknowledged ? null : <path d={`M${mark.x - 5} ${from - 14}l10 8m0 -8l-10 8`} />}
    </g>
  );
}
