import { codingFact, type Bed, type Coding, type Objects } from "@/core/facts";
import type { Track } from "@/core/device";

/** Sound on its way: what it is coded as, and what it has been through. */
export interface Stream {
  readonly coding: Coding;
  readonly channels: Bed;
  readonly objects: Objects;
  readonly sampleRateKHz: number;
  /** Nothing of the master's samples was thrown away by a coding so far. */
  readonly lossless: boolean;
  /** Lossy codings so far: 0 for LPCM or TrueHD of a lossless master, 1 for native DD+, 2 once re-encoded. */
  readonly generations: number;
  readonly lineage: "native" | "decoded" | "downmixed" | "re-encoded" | "resampled" | "binaural";
}

/** A track as it leaves the master. */
export function streamOf(track: Track): Stream {
  const { lossless } = codingFact(track.coding);
  return { ...track, lossless, generations: lossless ? 0 : 1, lineage: "native" };
}
