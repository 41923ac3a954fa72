import type { Device, TimeDial } from "@/core/device";
import { CHANNELS, isHeight, type Channel } from "@/core/facts";
import type { DialledLevel } from "./dial-levels";
import type { DialledTime } from "./dial-times";

/** One line of the sheet that is taken to the device's own menu, in the order in which such a menu asks. */
export type SheetLine =
  | { readonly step: "quiet"; readonly by: "own-microphones" | "plugged-microphone" }
  | { readonly step: "calibrate"; readonly by: "own-microphones" | "plugged-microphone" }
  | { readonly step: "crossover"; readonly hertz: number }
  | {
      readonly step: "time";
      readonly kind: TimeDial["kind"];
      readonly channel: Channel;
      readonly unit: string;
      readonly value: number;
      readonly in: TimeDial["unit"];
      readonly errorMs: number;
      readonly outOfRange: boolean;
    }
  | { readonly step: "test-tone"; readonly targetDb: number }
  | {
      readonly step: "level";
      readonly channel: Channel;
      readonly unit: string;
      readonly db: number;
      readonly name: string | null;
      readonly leftDb: number;
      readonly from: DialledLevel["from"];
      readonly outOfRange: boolean;
    }
  | { readonly step: "save"; readonly by: "menu" | "long-press" };

/** Small speakers in a room are crossed here. Source: usual bass management, 80 Hz. */
const CROSSOVER_HZ = 80;

/** The sheet for one sound system: calibration first, for it overwrites the rest; what is asked by hand after it; the save at the end. */
export function diallingSheet(
  device: Device,
  times: readonly DialledTime[],
  levels: readonly DialledLevel[],
  targetDb: number,
): readonly SheetLine[] {
  const { dials } = device;
  if (!dials) return [];
  const by = dials.calibrates;
  const order = ({ speaker }: { speaker: { channel: Channel } }) => CHANNELS.indexOf(speaker.channel);
  const timeLines = times
    .toSorted((a, b) => order(a) - order(b))
    .flatMap(({ speaker, dial }): SheetLine[] =>
      dial
        ? [
            {
              step: "time",
              kind: dial.kind,
              channel: speaker.channel,
              unit: speaker.unit.id,
              value: dial.value,
              in: dial.unit,
              errorMs: dial.errorMs,
              outOfRange: dial.outOfRange,
            },
          ]
        : [],
    );
  const levelLines = levels
    .toSorted((a, b) => order(a) - order(b))
    .flatMap(({ speaker, dial, from }): SheetLine[] =>
      dial ? [{ step: "level", channel: speaker.channel, unit: speaker.unit.id, ...dial, from }] : [],
    );
  const hertz = nearestOf(dials.crossoversHz, CROSSOVER_HZ);
  const lines: SheetLine[] = [
    ...(by === "none"
      ? []
      : ([
          { step: "quiet", by },
          { step: "calibrate", by },
        ] as const)),
    ...(hertz === null ? [] : ([{ step: "crossover", hertz }] as const)),
    ...timeLines,
    ...(dials.testTone && levelLines.length ? ([{ step: "test-tone", targetDb }] as const) : []),
    ...levelLines,
  ];
  return dials.saves === "at-once" || !lines.length ? lines : [...lines, { step: "save", by: dials.saves }];
}

const nearestOf = (all: readonly number[], wanted: number): number | null =>
  all.reduce<number | null>((best, one) => (best === null || Math.abs(one - wanted) < Math.abs(best - wanted) ? one : best), null);

/** A small step towards clearer speech, and what takes it back. */
export type SpeechStep =
  | { readonly act: "voice-mode" }
  | { readonly act: "centre-up"; readonly db: number }
  | { readonly act: "bass-down"; readonly db: number }
  | { readonly act: "heights-down"; readonly db: number }
  | { readonly act: "surrounds-down"; readonly db: number };

/** What can be tried at this system for clearer speech, least cost first; each is taken back by setting the old value again. */
export function speechSteps(device: Device): readonly SpeechStep[] {
  const { dials } = device;
  if (!dials) return [];
  const channels = device.units.length ? device.units.flatMap(({ drivers }) => drivers.map(({ channel }) => channel)) : [];
  const has = (test: (channel: Channel) => boolean) => (channels.length ? channels.some(test) : (device.speakers?.bed ?? "2.0") !== "2.0");
  const step = dials.trim?.kind === "decibels" ? Math.max(2, dials.trim.step) : 3;
  return [
    ...(dials.voiceMode ? [{ act: "voice-mode" } as const] : []),
    ...(dials.subwoofer ? [{ act: "bass-down", db: -3 } as const] : []),
    ...(dials.trim && has((channel) => channel === "C") ? [{ act: "centre-up", db: step } as const] : []),
    ...(dials.trim && has(isHeight) ? [{ act: "heights-down", db: -step } as const] : []),
    ...(dials.trim && has((channel) => channel === "Ls" || channel === "Lb") ? [{ act: "surrounds-down", db: -step } as const] : []),
  ];
}
