"use client";

import type { SentFrame, Station } from "@/core/cec";
import styles from "./ruler.module.css";
import { RULER, type Band, type Mark } from "./ruler";

/** A band with its word, where the word has room. */
function WordBand({
  band: { from, to },
  y,
  word,
  className,
}: {
  band: Band<unknown>;
  y: number;
  word: string;
  className: string | undefined;
}) {
  const letters = Math.floor((to - from - 10) / 7);
  return (
    <g className={className}>
      <rect x={from} y={y} width={to - from} height={16} rx={3} />
      {letters > 2 ? (
        <text x={from + 6} y={y + 12.5}>
          {word.length > letters ? `${word.slice(0, letters - 1)}…` : word}
        </text>
      ) : null}
    </g>
  );
}

interface SenseLaneProps<Value> {
  readonly name: string;
  readonly y: number;
  readonly bands: readonly Band<Value>[];
  readonly words: (value: Value) => string | null;
}

/** What a person sees or hears along the act: a word while there is something, and nothing while there is not. */
export function SenseLane<Value>({ name, y, bands, words }: SenseLaneProps<Value>) {
  return (
    <g>
      <text x={0} y={y + 13} className={styles.laneAddress}>
        {name}
      </text>
      {joined(bands, words).map((band) => {
        const word = band.value;
        return word === null ? null : <WordBand key={band.from} band={band} y={y} word={word} className={styles.sensed} />;
      })}
    </g>
  );
}

/** Stretches that say the same are one. */
function joined<Value>(bands: readonly Band<Value>[], words: (value: Value) => string | null): readonly Band<string | null>[] {
  return bands.reduce<readonly Band<string | null>[]>((all, { from, to, value }) => {
    const word = words(value);
    const last = all.at(-1);
    return last?.value === word && last.to === from ? [...all.slice(0, -1), { ...last, to }] : [...all, { from, to, value: word }];
  }, []);
}

interface LaneProps {
  readonly address: string;
  readonly y: number;
  readonly width: number;
  readonly power: readonly Band<Station["power"]>[];
  readonly input: readonly Band<string | null>[];
}

/** A device on the wire: its power as a band, under it the input it is turned to. */
export function Lane({ address, y, width, power, input }: LaneProps) {
  return (
    <g>
      <path d={`M${RULER.left} ${y}H${width - 12}`} className={styles.wire} />
      {power.map(({ from, to, value }) => (
        <rect key={from} x={from} y={y - 7} width={to - from} height={14} rx={3} className={styles[value]} />
      ))}
      {input.map((band) =>
        band.value === null ? null : <WordBand key={band.from} band={band} y={y + 10} word={band.value} className={styles.input} />,
      )}
      <text x={0} y={y + 15} className={styles.laneAddress}>
        {address}
      </text>
    </g>
  );
}

interface FrameShapeProps {
  readonly mark: Extract<Mark, { kind: "frame" }>;
  readonly chosen: boolean;
  readonly y: (device: string) => number;
  /** The devices that take the frame in. */
  readonly heard: readonly string[];
}

/** A frame on its way from lane to lanes; one that nobody took ends in a cross. */
export function FrameShape({ mark: { x, sent }, chosen, y, heard }: FrameShapeProps) {
  const from = y(sent.device);
  const ends = sent.acknowledged ? heard.map(y) : [];
  const [top, bottom] = [Math.min(from, ...ends), Math.max(from, ...ends)];
  return (
    <g className={chosen ? styles.frameChosen : isTaken(sent) ? styles.frame : styles.frameLost}>
      <path d={`M${x} ${top}V${bottom}`} />
      <circle cx={x} cy={from} r={5} className={styles.sender} />
      {ends.map((end) => (
        <path key={end} d={`M${x - 5} ${end + (end > from ? -6 : 6)}L${x} ${end}l5 ${end > from ? -6 : 6}`} />
      ))}
      {isTaken(sent) ? null : <path d={`M${x - 5} ${from - 14}l10 8m0 -8l-10 8`} />}
    </g>
  );
}

/** A poll whether an address is free is well when nobody answers it. */
const isTaken = ({ acknowledged, frame }: SentFrame): boolean => acknowledged || frame.message === null;
