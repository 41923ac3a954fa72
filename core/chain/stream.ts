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
  /** Lossy codings so far: 0 for LPCM or TrueHD of a lossless master, 1 for native DD+, and one more each time it is coded with loss on the way. */
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

/** The lossy codings of a stream once it is coded with loss again: the first of lossless sound is 1, the next of lossy sound 2. */
export const codedAgain = ({ generations }: Pick<Stream, "generations">): number => generations + 1;

/** All that is true of a stream, as words: two with the same are alike. */
export const streamKey = ({ coding, channels, objects, sampleRateKHz, lossless, generations, lineage }: Stream): string =>
  `${coding} ${channels} ${objects} ${sampleRateKHz} ${String(lossless)} ${generations} ${lineage}`;
