import type { LevelDial } from "@/core/device";
import { mirrorOf } from "@/core/facts";
import type { Space } from "@/core/job";
import { onDial } from "./dial-times";
import { distancesFrom, readingOf } from "./distances";
import type { Speaker } from "./speakers";
import { mainSeat } from "./units-in-room";

/** What to dial so that all speakers are equally loud at the main seat. */
export interface DialledLevel {
  readonly speaker: Speaker;
  /** measured: target less what the meter read; estimated: by distance alone, 6 dB for each doubling, less in a furnished room. */
  readonly from: "measured" | "estimated";
  readonly wantedDb: number;
  /** Null: this device has no dial for it. */
  readonly dial: { readonly db: number; readonly name: string | null; readonly leftDb: number; readonly outOfRange: boolean } | null;
}

/** What to dial for the levels of one sound system; a speaker of which nothing is known is left out. */
export function dialLevels(space: Space, speakers: readonly Speaker[]): readonly DialledLevel[] {
  const seat = mainSeat(space);
  if (!seat) return [];
  const distances = distancesFrom(space, speakers, seat.id);
  const reference = referenceDistance(speakers.map(({ channel }, index) => ({ channel, metres: distances[index]?.metres ?? null })));
  const wanted = speakers.map((speaker, index) => {
    const level = readingOf(space, speaker, seat.id, "level");
    if (level) return { speaker, from: "measured" as const, db: space.targetDb - level.value };
    const metres = distances[index]?.metres;
    if (metres === undefined || reference === null || metres <= 0 || speaker.channel === "LFE") return null;
    return { speaker, from: "estimated" as const, db: 20 * Math.log10(metres / reference) };
  });
  return wanted.flatMap((row): DialledLevel[] => {
    if (!row) return [];
    const dials = row.speaker.device.dials;
    const dial = (row.speaker.channel === "LFE" ? dials?.subwoofer : dials?.trim) ?? null;
    const partner = dials?.pairsShareTrim ? wanted.find((other) => other && other !== row && isPair(other.speaker, row.speaker)) : null;
    const meant = partner ? (row.db + partner.db) / 2 : row.db;
    return [{ speaker: row.speaker, from: row.from, wantedDb: row.db, dial: dial && levelOn(dial, meant, row.db) }];
  });
}

const isPair = (a: Speaker, b: Speaker): boolean => a.device.id === b.device.id && a.channel === mirrorOf(b.channel);

/** The mean distance of the front pair, else the centre, else whatever is known first. */
function referenceDistance(rows: readonly { readonly channel: string; readonly metres: number | null }[]): number | null {
  const of = (...channels: readonly string[]) =>
    rows.flatMap(({ channel, metres }) => (channels.includes(channel) && metres ? [metres] : []));
  const mean = (all: readonly number[]) => (all.length ? all.reduce((sum, one) => sum + one, 0) / all.length : null);
  return mean(of("L", "R")) ?? mean(of("C")) ?? rows.find(({ metres }) => metres)?.metres ?? null;
}

/** The value of a level dial that is nearest to what is meant, with what is left of what is wanted. */
function levelOn(dial: LevelDial, meant: number, wanted: number): NonNullable<DialledLevel["dial"]> {
  if (dial.kind === "decibels") {
    const db = onDial(dial, meant);
    const outOfRange = meant < dial.min - dial.step / 2 || meant > dial.max + dial.step / 2;
    return { db, name: null, leftDb: wanted - db, outOfRange };
  }
  const nearest = dial.steps.reduce((best, one) => (Math.abs(one.db - meant) < Math.abs(best.db - meant) ? one : best));
  const figures = dial.steps.map(({ db }) => db);
  // Coarse steps reach half their own distance past the ends.
  const outOfRange = meant < Math.min(...figures) - 3 || meant > Math.max(...figures) + 3;
  return { db: nearest.db, name: nearest.name, leftDb: wanted - nearest.db, outOfRange };
}
