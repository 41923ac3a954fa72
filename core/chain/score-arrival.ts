import { bedChannels } from "@/core/facts";
import type { Device } from "@/core/device";
import type { Arrival, Verdict } from "./arrival";
import { compareStreams } from "./quality";
import type { Stream } from "./stream";

const STANDING: Readonly<Record<Verdict, number>> = { silent: 0, unknown: 1, "no-picture": 2, reduced: 3, full: 4 };

/**
 * How good the sound of a row is, as one number: verdict first, then objects, channels, losslessness, fewer lossy generations.
 * All rows that are whole score alike, but for what the system's own sound mode keeps from its speakers.
 */
export function scoreArrival({ verdict, arrives, losses }: Pick<Arrival, "verdict" | "arrives" | "losses">): number {
  const standing = STANDING[verdict] * 100_000;
  if (verdict === "full") return standing + (losses.some(({ reason }) => reason.code === "decode-mode") ? 0 : 1);
  return standing + (arrives ? finer(arrives) : 0);
}

/** The best score that a row could have if this stream arrived, or nothing. */
export function scoreStream(stream: Stream | null, best: Stream | null, system: Device): number {
  if (!stream) return scoreArrival({ verdict: "silent", arrives: null, losses: [] });
  const verdict = compareStreams(stream, best, system) >= 0 ? "full" : "reduced";
  return scoreArrival({ verdict, arrives: stream, losses: [] });
}

const finer = ({ objects, channels, lossless, generations }: Stream): number =>
  Number(objects !== "none") * 10_000 + bedChannels(channels) * 1000 + Number(lossless) * 100 + Math.max(0, 9 - generations) * 10;

/** Orders two answers for the same row by their sound: positive when `a` is better. */
export const compareArrivals = (a: Arrival, b: Arrival): number => scoreArrival(a) - scoreArrival(b);
