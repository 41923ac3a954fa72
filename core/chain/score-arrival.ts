import type { Content, Device } from "@/core/device";
import type { Arrival, Verdict } from "./arrival";
import { isFull } from "./ideal";
import { soundRank } from "./quality";
import type { Stream } from "./stream";

const STANDING: Readonly<Record<Verdict, number>> = { silent: 0, unknown: 1, "no-picture": 2, reduced: 3, full: 4 };

/** Above every rank that a stream can have. */
const STEP = 1_000_000;

/** How good the sound of a row is, as one number: its verdict first, then how good the sound is. All rows that are full score alike. */
export function scoreArrival({ verdict, soundRank: rank }: Pick<Arrival, "verdict" | "soundRank">): number {
  return STANDING[verdict] * STEP + (verdict === "full" ? STEP - 1 : rank);
}

/** The best score that a row could have if this stream arrived, or nothing. */
export const scoreStream = (stream: Stream | null, content: Content, system: Device): number =>
  stream
    ? scoreArrival({ verdict: isFull(stream, content, system) ? "full" : "reduced", soundRank: soundRank(stream, system) })
    : scoreArrival({ verdict: "silent", soundRank: 0 });

/** Orders two answers for the same row by their sound: positive when `a` is better. */
export const compareArrivals = (a: Arrival, b: Arrival): number => scoreArrival(a) - scoreArrival(b);
