import type { TimeDial, UnitFeed } from "@/core/device";
import { mirrorOf } from "@/core/facts";
import type { Space } from "@/core/job";
import { distancesFrom, speedIn, type KnownDistance } from "./distances";
import type { Speaker } from "./speakers";
import { mainSeat } from "./units-in-room";

/** International foot. */
const FOOT_M = 0.3048;
/** A front pair this close to equal is kept equal: the stereo image pulls otherwise. Source: trade practice, as the step of most dials. */
export const KEPT_EQUAL_M = 0.05;

/** What to dial for one speaker so that everything arrives at once. */
export interface DialledTime {
  readonly speaker: Speaker;
  readonly distance: KnownDistance;
  /** The true delay against the unit that arrives last. */
  readonly delayMs: number;
  /** Null: this device takes no distances and no delays. */
  readonly dial: {
    readonly kind: TimeDial["kind"];
    readonly value: number;
    readonly unit: TimeDial["unit"];
    /** How late it stays against the others once that is dialled; negative: early. */
    readonly errorMs: number;
    readonly outOfRange: boolean;
    /** It was set to the middle of the pair. */
    readonly sharesPair: boolean;
  } | null;
  /** How late it plays against the front while all units stand as they came from the factory. */
  readonly asDeliveredMs: number;
}

/** How much later than the wired units of its system a unit plays. */
export const laterMs = (feed: UnitFeed, units: readonly { readonly id: string; readonly feed: UnitFeed }[]): number => {
  if (feed.feed === "wireless") return feed.laterMs;
  const feeder = feed.feed === "lead" ? units.find(({ id }) => id === feed.from) : undefined;
  return feeder && feeder.feed.feed !== "lead" ? laterMs(feeder.feed, units) : 0;
};

/**
 * What to dial for the speakers of one sound system whose distance is known.
 * Delay_i = max(a) − a_i with a_i = d_i/c + what the unit is later by itself; a distance dial is told the same as metres of air.
 */
export function dialTimes(space: Space, speakers: readonly Speaker[]): readonly DialledTime[] {
  const seat = mainSeat(space);
  if (!seat) return [];
  const distances = distancesFrom(space, speakers, seat.id);
  const speed = speedIn(space);
  const known = speakers.flatMap((speaker, index) => {
    const distance = distances[index];
    if (!distance) return [];
    const arrivesMs = (distance.metres / speed) * 1000 + laterMs(speaker.unit.feed, speaker.device.units);
    return [{ speaker, distance, arrivesMs }];
  });
  const last = Math.max(...known.map(({ arrivesMs }) => arrivesMs));
  const front = known.find(({ speaker }) => speaker.channel === "L") ?? known.find(({ speaker }) => speaker.channel === "C") ?? known[0];
  return known.map(({ speaker, distance, arrivesMs }) => {
    const partner = known.find(({ speaker: other }) => other.channel === mirrorOf(speaker.channel) && other !== speaker);
    const dial = speaker.device.dials?.time ?? null;
    const isShared = partner !== undefined && dial !== null && sharesDial(speaker, dial, Math.abs(partner.arrivesMs - arrivesMs), speed);
    return {
      speaker,
      distance,
      delayMs: last - arrivesMs,
      dial: dial && dialled(dial, arrivesMs, isShared ? (arrivesMs + partner.arrivesMs) / 2 : arrivesMs, { last, speed, isShared }),
      asDeliveredMs: arrivesMs - (front?.arrivesMs ?? arrivesMs),
    };
  });
}

/** One dial for both, or a front pair that is nearly equal. */
function sharesDial({ channel, device }: Speaker, dial: TimeDial, apartMs: number, speed: number): boolean {
  if (device.dials?.pairsShareTime) return true;
  const step = dial.kind === "delay" ? dial.step : (inMetres(dial.step, dial.unit) / speed) * 1000;
  return (channel === "L" || channel === "R") && apartMs <= Math.max(step, (KEPT_EQUAL_M / speed) * 1000) + 1e-9;
}

const inMetres = (value: number, unit: TimeDial["unit"]): number => (unit === "ft" ? value * FOOT_M : value);

function dialled(
  dial: TimeDial,
  arrivesMs: number,
  meantMs: number,
  { last, speed, isShared }: { readonly last: number; readonly speed: number; readonly isShared: boolean },
): DialledTime["dial"] {
  const isDistance = dial.kind === "distance";
  const airM = (meantMs / 1000) * speed;
  const wanted = isDistance ? (dial.unit === "ft" ? airM / FOOT_M : airM) : last - meantMs;
  const value = onDial(dial, wanted);
  const doneMs = isDistance ? (inMetres(value, dial.unit) / speed) * 1000 : last - value;
  return {
    kind: dial.kind,
    value,
    unit: dial.unit,
    errorMs: arrivesMs - doneMs,
    outOfRange: wanted < dial.min - dial.step / 2 || wanted > dial.max + dial.step / 2,
    sharesPair: isShared,
  };
}

/** The figure of a dial that is nearest to a wanted one: steps count from its least. */
export function onDial({ min, max, step }: { readonly min: number; readonly max: number; readonly step: number }, wanted: number): number {
  const steps = Math.round((Math.min(max, Math.max(min, wanted)) - min) / step);
  const value = min + Math.min(steps, Math.floor((max - min) / step + 1e-9)) * step;
  return Number(value.toFixed(6));
}

/**
 * What dialling adds to all that a sound system plays: how long its front is held back for the units that arrive later, in ms.
 * 0 where it takes no times, or the distances of its front are not known.
 */
export function addedByDialling(times: readonly DialledTime[]): number {
  const front = times.find(({ speaker }) => speaker.channel === "L") ?? times.find(({ speaker }) => speaker.channel === "C");
  const { dial } = front ?? {};
  if (!front || !dial) return 0;
  if (dial.kind === "delay") return dial.value;
  const rows = times.flatMap((row) => (row.dial ? [{ row, heldMs: row.dial.errorMs }] : []));
  // What a unit was told it is away, as time of air: its true time less the error that stays.
  const told = ({ row, heldMs }: (typeof rows)[number]) => row.delayMs + heldMs;
  const all = rows.map(told);
  const own = told({ row: front, heldMs: dial.errorMs });
  return Math.max(0, own - Math.min(...all));
}
