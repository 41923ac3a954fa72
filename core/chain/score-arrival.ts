import type { Content, Device } from "@/core/device";
import type { Arrival, SoundVerdict, Verdict } from "./arrival";
import { isFull } from "./ideal";
import { soundRank } from "./quality";
import type { Stream } from "./stream";

const SOUND_STANDING: Readonly<Record<SoundVerdict, number>> = { silent: 0, unknown: 1, reduced: 2, full: 3 };

/** Above every rank that a stream can have. */
const STEP = 1_000_000;

/** The score of a row whose sound is full; all of them are alike. */
export const FULL_SCORE = SOUND_STANDING.full * STEP;

/** How good the sound of a row is, as one number: its verdict first, then how good the sound is. The picture does not count. */
export const scoreArrival = ({ soundVerdict, soundRank: rank }: Pick<Arrival, "soundVerdict" | "soundRank">): number =>
  soundVerdict === "full" ? FULL_SCORE : SOUND_STANDING[soundVerdict] * STEP + rank;

/** The best score that a row could have if this stream arrived, or nothing. */
export const scoreStream = (stream: Stream | null, content: Content, system: Device): number =>
  stream
    ? scoreArrival({ soundVerdict: isFull(stream, content, system) ? "full" : "reduced", soundRank: soundRank(stream, system) })
    : scoreArrival({ soundVerdict: "silent", soundRank: 0 });

/** Orders two answers for the same row by their sound: positive when `a` is better. */
export const compareArrivals = (a: Arrival, b: Arrival): number => scoreArrival(a) - scoreArrival(b);

const STANDING: Readonly<Record<Verdict, number>> = { silent: 0, unknown: 1, "no-picture": 2, reduced: 3, full: 4 };

/** Orders rows by how they fare as a whole, the picture counted: positive when `a` fares better. */
export const compareStanding = (a: Arrival, b: Arrival): number => STANDING[a.verdict] - STANDING[b.verdict] || compareArrivals(a, b);
