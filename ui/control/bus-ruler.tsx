"use client";

import { useMemo } from "react";
import { sensedOf, type Household, type JudgedAct, type Sensed, type Station } from "@/core/cec";
import { EVERYONE } from "@/core/facts";
import { deviceName, socketPrint, stateChangeWords } from "@/core/text";
import { controlWords } from "@/ui/words";
import styles from "./ruler.module.css";
import { bandsOf, RULER, sensedBands, type Mark, type Ruler } from "./ruler";
import { FrameShape, Lane, SenseLane } from "./ruler-lanes";

interface BusRulerProps {
  readonly label: string;
  readonly household: Household;
  readonly judged: JudgedAct;
  readonly ruler: Ruler;
  /** Without these it is only looked at. */
  readonly chosen?: string | null;
  readonly onChoose?: (key: string) => void;
  readonly device?: string | null;
  readonly onDevice?: (device: string) => void;
}

/** An act on the wire: what is seen and heard, then a lane for each device with power and input as bands, frames from lane to lane. */
export function BusRuler({ label, household, judged, ruler, chosen = null, onChoose, device = null, onDevice }: BusRulerProps) {
  const { job } = household;
  const { start, trace } = judged.played;
  const sensed = useMemo(() => sensedBands(ruler, sensedOf(household, judged.played)), [household, judged, ruler]);
  const lanes = [...start.values()].filter(({ nature }) => nature.kind !== "switch");
  const top = RULER.head + 2 * RULER.sense;
  const height = top + lanes.length * RULER.lane;
  const yOf = (id: string) => top + lanes.findIndex(({ nature }) => nature.device === id) * RULER.lane + RULER.lane / 2;
  const heardBy = ({ sent }: Extract<Mark, { kind: "frame" }>) =>
    lanes
      .filter(({ nature }) => nature.wire === sent.wire && nature.device !== sent.device && nature.logical !== null)
      .filter(({ nature }) => sent.frame.to === EVERYONE || nature.logical === sent.frame.to)
      .map(({ nature }) => nature.device);
  return (
    <div className={styles.ruler} role="group" aria-label={label}>
      <svg width={ruler.width} height={height} className={styles.staff} aria-hidden>
        <SenseLane
          name={controlWords.onTheScreen}
          y={RULER.head - 4}
          bands={sensed}
          words={({ shows }) => (shows === null ? null : deviceName(job, shows))}
        />
        <SenseLane
          name={controlWords.sounds}
          y={RULER.head - 4 + RULER.sense}
          bands={sensed}
          words={(one) => soundWords(household, start, one)}
        />
        {lanes.map((station) => (
          <Lane
            key={station.nature.device}
            address={addressWords(station)}
            y={yOf(station.nature.device)}
            width={ruler.width}
            power={bandsOf(ruler, station.nature.device, "power", station.power)}
            input={inputBands(household, ruler, station)}
          />
        ))}
        {ruler.pauses.map(({ x, width, ms }) => (
          <g key={x} className={styles.pause}>
            <path d={`M${x + 8} ${RULER.head - 16}h${width - 16}`} strokeDasharray="3 4" />
            <text x={x + width / 2} y={RULER.head - 22} textAnchor="middle">
              {controlWords.seconds(ms / 1000)}
            </text>
          </g>
        ))}
        {ruler.marks.map((mark) =>
          mark.kind === "frame" ? (
            <FrameShape key={mark.key} mark={mark} chosen={mark.key === chosen} y={yOf} heard={heardBy(mark)} />
          ) : null,
        )}
      </svg>
      <ol className={styles.hits} style={{ width: ruler.width, height }}>
        {lanes.map(({ nature }) => (
          <li key={nature.device}>
            <button
              type="button"
              className={styles.laneName}
              disabled={!onDevice}
              aria-pressed={onDevice ? nature.device === device : undefined}
              style={{ top: yOf(nature.device) - 22, width: RULER.left - 12 }}
              onClick={() => onDevice?.(nature.device)}
            >
              {deviceName(job, nature.device)}
            </button>
          </li>
        ))}
        {ruler.marks.flatMap((mark) =>
          mark.kind === "frame" && onChoose
            ? [
                <li key={mark.key}>
                  <button
                    type="button"
                    tabIndex={-1}
                    style={{ left: mark.x - RULER.frame / 2, top: top - 8, width: RULER.frame, height: height - top + 8 }}
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

const addressWords = ({ nature: { logical, physical }, placed }: Station): string =>
  logical === null ? controlWords.silent : placed ? controlWords.addressed(logical, physical) : controlWords.placeless;

/** Screens and sound systems turn between inputs; a player has none. */
function inputBands({ job, network }: Household, ruler: Ruler, { nature, input }: Station) {
  const ports = network.nodes.find((node) => node.device === nature.device)?.inputs ?? [];
  if (nature.kind !== "tv" && nature.kind !== "audio") return [];
  return bandsOf(ruler, nature.device, "input", input).map(({ from, to, value }) => {
    const port = value === null ? undefined : ports[value - 1];
    return { from, to, value: port ? socketPrint(job, { device: nature.device, port }).slice(1, -1) : null };
  });
}

/** "Bar, 20": who sounds and how loud; null where nothing does. */
function soundWords({ job }: Household, stations: ReadonlyMap<string, Station>, { sounding, volume, soundsFrom }: Sensed): string | null {
  if (sounding === "nowhere" || soundsFrom === null || !stations.has(soundsFrom)) return null;
  return controlWords.soundsAt(deviceName(job, soundsFrom), volume);
}
