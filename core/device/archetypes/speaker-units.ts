import type { Channel } from "@/core/facts";
import type { DialsInput } from "../dials";
import type { SpeakerUnitInput } from "../unit";

// Figures are those of an ordinary device of its class; whoever has the device in hand corrects them on Gear.

type Driver = NonNullable<SpeakerUnitInput["drivers"]>[number];

/** Where the drivers of a bar sit along it, as shares of half its width. */
const ALONG_A_BAR: Partial<Record<Channel, number>> = {
  L: -0.8,
  R: 0.8,
  C: 0,
  LFE: 0,
  Ls: -0.97,
  Rs: 0.97,
  Ltf: -0.85,
  Rtf: 0.85,
  Ltr: -0.9,
  Rtr: 0.9,
};

interface BarShape {
  readonly widthMm: number;
  readonly massKg: number;
  /** Half the distance between its bracket holes; null: no bracket. */
  readonly holesAtMm: number | null;
}

/** A bar that is also the device with the sockets. Heights play by way of the ceiling, 20° from straight up. */
export function bar(
  channels: readonly Channel[],
  { widthMm, massKg, holesAtMm }: BarShape,
  feed: SpeakerUnitInput["feed"] = { feed: "own" },
): SpeakerUnitInput {
  const drivers = channels.map((channel): Driver => {
    const rightMm = Math.round((ALONG_A_BAR[channel] ?? 0) * (widthMm / 2));
    return channel.includes("t") ? { channel, rightMm, tiltDeg: 70 } : { channel, rightMm };
  });
  return {
    id: "bar",
    name: "bar",
    drivers,
    feed,
    size: { widthMm, heightMm: 65, depthMm: 110 },
    massKg,
    holes: holesAtMm === null ? [] : [-holesAtMm, holesAtMm].map((rightMm) => ({ rightMm, upMm: 0, diameterMm: 6 })),
    mains: true,
    keepFree: channels.some((channel) => channel.includes("t")) ? ["top", "front"] : ["front"],
  };
}

export const subwoofer = (feed: SpeakerUnitInput["feed"], rest: Partial<SpeakerUnitInput> = {}): SpeakerUnitInput => ({
  id: "subwoofer",
  name: "subwoofer",
  drivers: [{ channel: "LFE" }],
  feed,
  size: { widthMm: 220, heightMm: 390, depthMm: 300 },
  massKg: 8,
  mains: true,
  keepFree: ["back"],
  ...rest,
});

/** A pair of small speakers, left and right. */
export const pair = (
  channels: readonly [Channel, Channel],
  names: readonly [string, string],
  feeds: readonly [SpeakerUnitInput["feed"], SpeakerUnitInput["feed"]],
  rest: Partial<SpeakerUnitInput> = {},
): SpeakerUnitInput[] =>
  ([0, 1] as const).map((side) => ({
    id: names[side].replaceAll(" ", "-"),
    name: names[side],
    drivers: [{ channel: channels[side] }],
    feed: feeds[side],
    size: { widthMm: 110, heightMm: 170, depthMm: 120 },
    massKg: 1.2,
    holes: [{ rightMm: 0, upMm: 40, diameterMm: 5 }],
    ...rest,
  }));

export const REARS = ["left rear", "right rear"] as const;

export const wireless = (laterMs = 0, pairs: "by-itself" | "by-hand" = "by-hand"): SpeakerUnitInput["feed"] => ({
  feed: "wireless",
  laterMs,
  rangeM: 10,
  pairs,
});

const decibels = (reach: number, step: number) => ({ kind: "decibels" as const, min: -reach, max: reach, step });

/** What a plain bar lets a person set: the level of its subwoofer, and speech. */
export const PLAIN_BAR: DialsInput = { subwoofer: { kind: "decibels", min: -12, max: 6, step: 1 }, voiceMode: true };

/** A bar whose channels have levels, with a test tone. */
export const LEVELLED_BAR: DialsInput = { ...PLAIN_BAR, trim: decibels(6, 1), pairsShareTrim: true, testTone: true };

/** A bar that asks how far each unit is from the seat. */
export const MEASURED_BAR: DialsInput = {
  time: { kind: "distance", min: 1, max: 7, step: 0.1, usual: 3, unit: "m" },
  trim: decibels(9, 1),
  subwoofer: decibels(9, 1),
  calibrates: "plugged-microphone",
  testTone: true,
  voiceMode: true,
  saves: "menu",
};

/** Coarse steps alone, kept by a long press. */
export const COARSE_BAR: DialsInput = {
  trim: {
    kind: "named",
    steps: [
      { name: "low", db: -3 },
      { name: "mid", db: 0 },
      { name: "high", db: 3 },
    ],
  },
  pairsShareTrim: true,
  subwoofer: {
    kind: "named",
    steps: [
      { name: "1", db: -6 },
      { name: "2", db: -2 },
      { name: "3", db: 2 },
      { name: "4", db: 6 },
    ],
  },
  saves: "long-press",
};

/** A receiver: distances, levels, crossovers, a microphone in the box. */
export const RECEIVER_DIALS: DialsInput = {
  time: { kind: "distance", min: 0.3, max: 24, step: 0.1, usual: 3.6, unit: "m" },
  trim: decibels(12, 0.5),
  subwoofer: decibels(12, 0.5),
  crossoversHz: [40, 60, 80, 90, 100, 120, 150, 200],
  calibrates: "plugged-microphone",
  testTone: true,
  voiceMode: true,
  saves: "menu",
  leastOhm: 4,
};
