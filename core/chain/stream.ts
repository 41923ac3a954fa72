import { codingFact, type Bed, type Coding, type Objects } from "@/core/facts";
import type { Content, Track } from "@/core/device";

/** Sound on its way: what it is coded as, and what it has been through. */
export interface Stream {
  readonly coding: Coding;
  readonly channels: Bed;
  readonly objects: Objects;
  readonly sampleRateKHz: number;
  /** Nothing of the master's samples was thrown away by a coding so far. */
  readonly lossless: boolean;
  /** Lossy generations: 0 for LPCM or TrueHD of a lossless master, 1 for native DD+, 2 once re-encoded on the way, and one more each further time. */
  readonly generations: number;
  readonly lineage: "native" | "decoded" | "downmixed" | "re-encoded" | "resampled" | "binaural";
}

/** A track as it leaves the master. */
export function streamOf(track: Track): Stream {
  const { lossless } = codingFact(track.coding);
  return { ...track, lossless, generations: lossless ? 0 : 1, lineage: "native" };
}

/** Contents are never changed in place, so their streams are made once. */
const remembered = new WeakMap<Content, readonly Stream[]>();

/** The tracks of a content as they leave the master, in their order. */
export function streamsOf(content: Content): readonly Stream[] {
  const known = remembered.get(content) ?? content.tracks.map(streamOf);
  remembered.set(content, known);
  return known;
}

/** The lossy codings of a stream that is coded again on the way: native sound is of the first generation, what a device makes of any sound is at least of the second. */
export const codedAgain = ({ generations }: Pick<Stream, "generations">): number => Math.max(2, generations + 1);

/** All that is true of a stream, as words: two with the same are alike. */
export const streamKey = ({ coding, channels, objects, sampleRateKHz, lossless, generations, lineage }: Stream): string =>
  `${coding} ${channels} ${objects} ${sampleRateKHz} ${String(lossless)} ${generations} ${lineage}`;
