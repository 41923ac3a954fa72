import { readFrame, type ReadFrame } from "./frame";

/** A line of a pasted trace. */
export interface TraceLine {
  /** Counted from 1. */
  readonly line: number;
  /** Since the first line that has a time; null where the lines have none. */
  readonly tMs: number | null;
  /** Null where no frame is in it. */
  readonly frame: ReadFrame | null;
  readonly text: string;
}

const MOST_LINES = 50_000;
/** Pairs of hexadecimal digits joined by colons, or written apart: at least a header. */
const JOINED = /(?<![0-9a-z:])(?:0x)?[0-9a-f]{2}(?::(?:0x)?[0-9a-f]{2})*(?![0-9a-z:.])/gi;
const APART = /(?<![0-9a-z:.])(?:0x)?[0-9a-f]{2}(?:[ ,]+(?:0x)?[0-9a-f]{2})+(?![0-9a-z:.])/gi;
/** Seconds or milliseconds in front: "12.345", "[ 1234.567]", "1234 ms", "00:01:02.345". */
const CLOCK = /^\D{0,3}(\d{1,2}):(\d{2}):(\d{2})(?:[.,](\d{1,3}))?\s/;
const BRACKETED = /\[\s*(\d+(?:[.,]\d+)?)\s*(ms|s)?\s*\]/;
const NUMBER = /^\D{0,3}(\d+(?:[.,]\d+)?)\s*(ms|s)?[\])]?\s/;

/**
 * Reads a trace as adapters print it: a frame a line as hexadecimal pairs, with or without a time and words about it. Lines without a
 * frame are kept and told as such; nothing stops the rest.
 */
export function readTrace(text: string): readonly TraceLine[] {
  const lines = text.split(/\r\n|\r|\n/).slice(0, MOST_LINES);
  let first: number | null = null;
  return lines.flatMap((raw, index): TraceLine[] => {
    if (raw.trim() === "") return [];
    const { ms, rest } = timeOf(raw);
    const frame = frameIn(rest);
    if (ms !== null && frame) first ??= ms;
    return [{ line: index + 1, tMs: ms === null || first === null ? null : ms - first, frame, text: raw.trim() }];
  });
}

function timeOf(line: string): { readonly ms: number | null; readonly rest: string } {
  const clock = CLOCK.exec(line);
  if (clock) {
    const [whole, hours, minutes, seconds, part] = clock;
    const ms = ((Number(hours) * 60 + Number(minutes)) * 60 + Number(seconds)) * 1000 + Number((part ?? "0").padEnd(3, "0"));
    return { ms, rest: line.slice(whole.length) };
  }
  const number = BRACKETED.exec(line) ?? NUMBER.exec(line);
  // A bare pair of digits is the frame itself, not its time.
  if (!number || (/^\d{2}$/.test(number[1] ?? "") && !number[2])) return { ms: null, rest: line };
  const value = Number((number[1] ?? "0").replace(",", "."));
  const isSeconds = number[2] === "s" || (number[2] === undefined && /[.,]/.test(number[1] ?? ""));
  return { ms: isSeconds ? value * 1000 : value, rest: line.slice(number.index + number[0].length) };
}

/** The longest run of pairs in a line. */
function frameIn(text: string): ReadFrame | null {
  const runs = [...text.matchAll(JOINED), ...text.matchAll(APART)].map(([run]) => run).sort((a, b) => b.length - a.length);
  const [run] = runs;
  if (!run) return null;
  return readFrame(
    run
      .replace(/0x/gi, "")
      .split(/[^0-9a-f]+/i)
      .filter(Boolean)
      .map((pair) => Number.parseInt(pair, 16)),
  );
}
