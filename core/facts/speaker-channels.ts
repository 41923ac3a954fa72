import type { Bed } from "./beds";
import { bedStrings, STRINGS } from "./beds";

/** The height channels, front pair first: the order in which more heights are added. */
export const HEIGHT_CHANNELS = ["Ltf", "Rtf", "Ltr", "Rtr", "Ltm", "Rtm"] as const;
/** Every channel that a speaker can play. */
export const CHANNELS = [...STRINGS, ...HEIGHT_CHANNELS] as const;
export type Channel = (typeof CHANNELS)[number];

/** What people call the channels. */
export const CHANNEL_NAMES: Readonly<Record<Channel, string>> = {
  L: "front left",
  R: "front right",
  C: "centre",
  LFE: "subwoofer",
  Ls: "left surround",
  Rs: "right surround",
  Lb: "left rear",
  Rb: "right rear",
  Ltf: "left front height",
  Rtf: "right front height",
  Ltr: "left rear height",
  Rtr: "right rear height",
  Ltm: "left overhead",
  Rtm: "right overhead",
};

/** Where a channel may stand, seen from the main seat: degrees to the left of straight ahead, and degrees above the ears. */
export interface SpeakerWindow {
  readonly minDeg: number;
  readonly maxDeg: number;
  /** Where it is best. */
  readonly idealDeg: number;
  readonly lowDeg: number;
  readonly highDeg: number;
  readonly source: string;
}

type Range = readonly [min: number, ideal: number, max: number];
interface Row {
  readonly azimuth: Range;
  readonly elevation: readonly [low: number, high: number];
  readonly source: string;
}

const MAIN_LAYER = [-15, 15] as const;
const UPPER_LAYER = [30, 55] as const;

/** Left-hand channels; the right-hand ones mirror them. Azimuth is positive to the left, as in BS.2051. */
const LEFT = {
  front: { azimuth: [22, 30, 30], elevation: MAIN_LAYER, source: "ITU-R BS.775-4 Fig. 1; BS.2051-3 Table 2 (M+030, 22° accepted)" },
  surround: { azimuth: [100, 110, 120], elevation: MAIN_LAYER, source: "ITU-R BS.775-4 Fig. 1; BS.2051-3 Table 3 (M+110)" },
  side: { azimuth: [85, 90, 110], elevation: MAIN_LAYER, source: "ITU-R BS.2051-3 system I (M+090)" },
  rear: { azimuth: [135, 140, 150], elevation: MAIN_LAYER, source: "ITU-R BS.2051-3 system I (M+135)" },
  upperFront: { azimuth: [30, 35, 45], elevation: UPPER_LAYER, source: "ITU-R BS.2051-3 systems C and D (U+030)" },
  upperRear: { azimuth: [100, 110, 135], elevation: UPPER_LAYER, source: "ITU-R BS.2051-3 system D (U+110)" },
  overhead: { azimuth: [65, 90, 100], elevation: [65, 100], source: "ITU-R BS.2051-3 (overhead, middle)" },
} as const satisfies Record<string, Row>;

const CENTRE: SpeakerWindow = { minDeg: -5, idealDeg: 0, maxDeg: 5, lowDeg: -15, highDeg: 15, source: "ITU-R BS.775-4 Fig. 1 (C, 0°)" };
/** The single rear channel of 6.1: behind the seat. Angles past 180° are those of the right-hand side. */
const BACK: SpeakerWindow = { minDeg: 165, idealDeg: 180, maxDeg: 195, lowDeg: -15, highDeg: 15, source: "ITU-R BS.2051-3 (M±180)" };

const ROW_OF: Readonly<Record<Exclude<Channel, "C" | "LFE">, Row>> = {
  L: LEFT.front,
  R: LEFT.front,
  Ls: LEFT.surround,
  Rs: LEFT.surround,
  Lb: LEFT.rear,
  Rb: LEFT.rear,
  Ltf: LEFT.upperFront,
  Rtf: LEFT.upperFront,
  Ltr: LEFT.upperRear,
  Rtr: LEFT.upperRear,
  Ltm: LEFT.overhead,
  Rtm: LEFT.overhead,
};

/** Which side of the room a channel belongs to. */
export const sideOf = (channel: Channel): "left" | "right" | "middle" =>
  channel === "C" || channel === "LFE" ? "middle" : channel.startsWith("L") ? "left" : "right";

/** The channel that mirrors another; itself in the middle. */
export const mirrorOf = (channel: Channel): Channel => {
  const side = sideOf(channel);
  if (side === "middle") return channel;
  const name = `${side === "left" ? "R" : "L"}${channel.slice(1)}`;
  return CHANNELS.find((other) => other === name) ?? channel;
};

export const isHeight = (channel: Channel): boolean => (HEIGHT_CHANNELS as readonly string[]).includes(channel);

/** The channels of a layout: its bed, and so many heights. */
export const channelsOf = (bed: Bed, heights: number): readonly Channel[] => [...bedStrings(bed), ...HEIGHT_CHANNELS.slice(0, heights)];

/**
 * Where a channel may stand in a layout; null: anywhere, as for the LFE. Surrounds of 7.1 stand at the side, those of 5.1 a little behind.
 * @param layout every channel of the layout
 */
export function windowOf(channel: Channel, layout: readonly Channel[]): SpeakerWindow | null {
  if (channel === "LFE") return null;
  if (channel === "C") return CENTRE;
  if (channel === "Lb" && !layout.includes("Rb")) return BACK;
  const isSide = (channel === "Ls" || channel === "Rs") && layout.includes("Lb");
  const { azimuth, elevation, source } = isSide ? LEFT.side : ROW_OF[channel];
  const [min, ideal, max] = azimuth;
  const [lowDeg, highDeg] = elevation;
  const isLeft = sideOf(channel) === "left";
  return {
    minDeg: isLeft ? min : -max,
    idealDeg: isLeft ? ideal : -ideal,
    maxDeg: isLeft ? max : -min,
    lowDeg,
    highDeg,
    source,
  };
}
