import { bedChannels } from "@/core/facts";
import type { Device } from "@/core/device";
import { keepsObjects, soundingBed } from "./play";
import type { Stream } from "./stream";

const soundingChannels = (stream: Stream, system: Device): number => bedChannels(soundingBed(stream, system));

/**
 * How good a stream is at a sound system, as one number: channels that its speakers sound, then objects that it keeps, then losslessness,
 * then fewer lossy generations. A rendering for headphones is the worst of its kind.
 */
export function soundRank(stream: Stream, system: Device): number {
  return (
    soundingChannels(stream, system) * 10_000 +
    Number(keepsObjects(stream, system)) * 1000 +
    Number(stream.lossless) * 100 +
    Math.max(0, 9 - stream.generations) * 10 +
    Number(stream.lineage !== "binaural")
  );
}

/** Orders two streams by what a sound system makes of them. Positive: `a` is better; anything is better than nothing. */
export function compareStreams(a: Stream | null, b: Stream | null, system: Device): number {
  if (!a || !b) return Number(a !== null) - Number(b !== null);
  return soundRank(a, system) - soundRank(b, system);
}

/** How much of the best form that a system could take is heard, each from 0 to 1. */
export interface Kept {
  readonly channels: number;
  readonly objects: number;
  readonly lossless: number;
  /** Halved by each lossy coding more than there need be. */
  readonly codings: number;
}

/** Compares what is heard with the best form of the content at that system. */
export function keptOf(heard: Stream, best: Stream | null, system: Device): Kept {
  if (!best) return { channels: 1, objects: 1, lossless: 1, codings: 1 };
  return {
    channels: Math.min(1, soundingChannels(heard, system) / soundingChannels(best, system)),
    objects: Number(!keepsObjects(best, system) || keepsObjects(heard, system)),
    lossless: Number(!best.lossless || heard.lossless),
    codings: 0.5 ** Math.max(0, heard.generations - best.generations),
  };
}
