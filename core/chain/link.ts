import { bedChannels, codingFact, linkFact, payloadRate, smallerBed, stereoRate, type LinkKind } from "@/core/facts";
import type { Reason, ReturnLimit } from "./reason";
import { codedAgain, type Stream } from "./stream";

/**
 * Why a link does not carry a stream, with need and have, or null when it does. LPCM is bounded by channels, a burst by its payload.
 * Where the link itself turns sound into something else (analogue, Bluetooth), only its channels bound it: see `alongLink`.
 */
export function whyNotCarry(
  { coding, channels, sampleRateKHz = 48 }: Pick<Stream, "coding" | "channels"> & Partial<Pick<Stream, "sampleRateKHz">>,
  link: LinkKind,
  because: readonly ReturnLimit[],
): Reason | null {
  const fact = linkFact(link);
  const need = fact.turnsInto === "as-sent" ? payloadRate(coding) : null;
  if (need !== null) {
    return need > fact.capacityMbps ? { code: "link-capacity", link, coding, need, have: fact.capacityMbps, unit: "Mb/s", because } : null;
  }
  if (bedChannels(channels) > bedChannels(fact.lpcm)) return { code: "link-channels", link, need: channels, have: fact.lpcm, because };
  const [needed, had] = [stereoRate(sampleRateKHz), stereoRate(fact.lpcmKHz)];
  return fact.turnsInto === "as-sent" && needed > had
    ? { code: "link-capacity", link, coding, need: needed, have: had, unit: "Mb/s", because }
    : null;
}

/**
 * A stream as it leaves a socket of a link: analogue where the plug is, and LPCM at a rate that is certain to cross. A sender halves
 * what is too fast until it fits, and the samples are then no longer the master's; a blind one leaves them as they are.
 */
export function leavingOn(link: LinkKind, stream: Stream, isBlind: boolean): Stream {
  const { lpcmKHz, turnsInto } = linkFact(link);
  if (turnsInto === "analogue") return turnedBy(link, stream);
  if (isBlind || stream.coding !== "lpcm" || turnsInto !== "as-sent" || stream.sampleRateKHz <= lpcmKHz) return stream;
  let rate = stream.sampleRateKHz;
  while (rate > lpcmKHz) rate /= 2;
  return { ...stream, sampleRateKHz: rate, lossless: false, lineage: "resampled" };
}

/** What a link makes of a stream by its nature: analogue leads carry decoded stereo, Bluetooth codes it once more with loss. */
export function turnedBy(link: LinkKind, stream: Stream): Stream {
  const { turnsInto, lpcm } = linkFact(link);
  switch (turnsInto) {
    case "as-sent":
      return stream;
    case "analogue":
      return { ...stream, coding: "analogue", channels: smallerBed(stream.channels, lpcm), objects: "none" };
    case "lossy":
      return { ...stream, lossless: false, generations: codedAgain(stream), lineage: "re-encoded" };
  }
}

/** Whether codings can cross a link as they are; an analogue lead and Bluetooth take decoded sound alone. */
export const carriesCodings = (link: LinkKind): boolean => linkFact(link).turnsInto === "as-sent";

/** A coding that a link cannot take as it is. */
export const needsDecoding = (coding: Stream["coding"], link: LinkKind): boolean =>
  !carriesCodings(link) && codingFact(coding).burst !== null;
