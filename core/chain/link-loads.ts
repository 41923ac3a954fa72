import { bedChannels, linkFact, payloadRate, stereoRate, type LinkKind } from "@/core/facts";
import type { Arrival } from "./arrival";
import type { Stream } from "./stream";

/** How full a link is with what goes over it, and how full it would be with the best form of the content. */
export interface LinkLoad {
  readonly cable: string;
  readonly link: LinkKind;
  readonly carriedMbps: number;
  readonly wantedMbps: number;
  readonly haveMbps: number;
}

/** The load of every digital link on the way of a row, in its order; analogue leads and Bluetooth have no such figure. */
export function linkLoads({ hops, best }: Arrival): readonly LinkLoad[] {
  return hops.flatMap(({ cable, link, out }): LinkLoad[] => {
    if (cable === null || link === null || linkFact(link).turnsInto !== "as-sent") return [];
    return [
      { cable, link, carriedMbps: out ? rateOf(out) : 0, wantedMbps: best ? rateOf(best) : 0, haveMbps: linkFact(link).capacityMbps },
    ];
  });
}

/** A burst fills its payload; LPCM one frame of 32 payload bits for each pair of channels and sample (IEC 60958-1 §4). */
const rateOf = ({ coding, channels, sampleRateKHz }: Stream): number =>
  payloadRate(coding) ?? Math.ceil(bedChannels(channels) / 2) * stereoRate(sampleRateKHz);
