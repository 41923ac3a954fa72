import { unitsOf } from "@/core/device";
import { awgMm2, COPPER, MOST_WIRE_SHARE, WIRE_AWG, WIRE_MM2, type Channel } from "@/core/facts";
import type { RoomScene, RoomUnit } from "./units-in-room";

/** The wire to one passive speaker. */
export interface WireRun {
  readonly one: RoomUnit;
  readonly lengthM: number;
  readonly from: "stated" | "position";
  /** What the chosen size has, both ways, and the most it may have. */
  readonly ohm: number;
  readonly limitOhm: number;
  /** The thinnest stocked sizes that will do; null: none is thick enough. */
  readonly mm2: number | null;
  readonly awg: number | null;
  readonly inWall: boolean;
}

/** Resistance of a wire of copper in Ω, there and back: ρ·2L/A. */
export const wireOhm = (lengthM: number, mm2: number): number => (COPPER * 2 * lengthM) / mm2;

/** Slack at both ends, and what corners take. */
const SLACK = { share: 1.1, endsM: 0.6 } as const;

/**
 * The wire to every passive speaker of a room. Its length is what was stated, else along the walls and down: |dx| + |dy| + |dz|, a tenth for
 * corners and 30 cm at each end. A speaker whose impedance or run is not known is left out.
 */
export function wireRuns(scene: RoomScene): readonly WireRun[] {
  return scene.units.flatMap((one): WireRun[] => {
    const { unit, placement, device } = one;
    if (unit.feed.feed !== "wire" || !unit.passive) return [];
    const source = scene.units.find((other) => other.device === device && other.unit.feed.feed === "own")?.placement ?? null;
    const straight =
      placement && source
        ? Math.abs(placement.at.x - source.at.x) + Math.abs(placement.at.y - source.at.y) + Math.abs(placement.heightM - source.heightM)
        : null;
    const lengthM = placement?.wireM ?? (straight === null ? null : straight * SLACK.share + SLACK.endsM);
    if (lengthM === null) return [];
    const limitOhm = unit.passive.ohm * MOST_WIRE_SHARE;
    const least = (COPPER * 2 * lengthM) / limitOhm;
    const mm2 = WIRE_MM2.find((size) => size >= least - 1e-9) ?? null;
    const awg = WIRE_AWG.find((gauge) => awgMm2(gauge) >= least - 1e-9) ?? null;
    const from = placement?.wireM ? "stated" : "position";
    return [
      { one, lengthM, from, ohm: wireOhm(lengthM, mm2 ?? Math.max(...WIRE_MM2)), limitOhm, mm2, awg, inWall: placement?.inWall ?? false },
    ];
  });
}

/** Passive speakers on one amplifier channel, and what they are together. */
export interface Load {
  readonly device: string;
  readonly channel: Channel;
  readonly units: readonly string[];
  /** In parallel: 1/Σ(1/Z). */
  readonly ohm: number;
  readonly leastOhm: number;
  readonly isAllowed: boolean;
}

/** Every amplifier channel whose load is known, and the least that the amplifier takes. */
export function loadsOf(scene: RoomScene): readonly Load[] {
  const devices = [...new Set(scene.units.map(({ device }) => device))];
  return devices.flatMap((device) => {
    const leastOhm = device.dials?.leastOhm ?? null;
    if (leastOhm === null) return [];
    const wired = unitsOf(device).flatMap((unit) =>
      unit.feed.feed === "wire" && unit.passive
        ? unit.drivers.map(({ channel }) => ({ channel, id: unit.id, ohm: unit.passive?.ohm ?? 0 }))
        : [],
    );
    const channels = [...new Set(wired.map(({ channel }) => channel))];
    return channels.map((channel): Load => {
      const on = wired.filter((row) => row.channel === channel);
      const ohm = 1 / on.reduce((sum, row) => sum + 1 / row.ohm, 0);
      return { device: device.id, channel, units: on.map(({ id }) => id), ohm, leastOhm, isAllowed: ohm >= leastOhm - 1e-9 };
    });
  });
}

/** How much wire of one size a room takes, and how much the van has of it or thicker. */
export interface WireTotal {
  readonly mm2: number;
  readonly needM: number;
  readonly haveM: number;
}

/**
 * The wire of a room by size, thickest first, against reels of the van. Thicker wire serves as well, so what one size leaves counts for the next.
 * @param reels metres at hand of each size
 */
export function wireTotals(
  runs: readonly WireRun[],
  reels: readonly { readonly mm2: number; readonly metres: number }[],
): readonly WireTotal[] {
  let left = 0;
  return WIRE_MM2.toReversed().flatMap((mm2): WireTotal[] => {
    left += reels.filter((reel) => reel.mm2 === mm2).reduce((sum, { metres }) => sum + metres, 0);
    const needM = runs.filter((run) => run.mm2 === mm2).reduce((sum, { lengthM }) => sum + lengthM, 0);
    if (needM === 0) return [];
    const haveM = left;
    left = Math.max(0, left - needM);
    return [{ mm2, needM, haveM }];
  });
}

/** The speakers that somebody runs wire to, as they are labelled. */
export const unitsWithWire = ({ units }: RoomScene): readonly RoomUnit[] =>
  units.filter(({ unit, placement }) => unit.feed.feed === "wire" && (unit.passive !== null || placement !== null));
