import { FINDING_MINUTES } from "@/core/facts";
import type { Belief } from "./belief";
import type { Case, CureRow, LookRow } from "./case";

/** The part of a case that still counts, laid out for counting: suspects that nothing tells apart are one, by their place in `weights`. */
export interface Scene {
  readonly weights: Float64Array;
  readonly looks: readonly SceneLook[];
  readonly cures: readonly SceneCure[];
  /** Room to count in, used again by each count: the numbers themselves are nobody's. */
  readonly scratch: Scratch;
}

interface Scratch {
  readonly order: Uint16Array;
  readonly rates: Float64Array;
  readonly open: Float64Array;
  readonly minutes: Float64Array;
  readonly still: Float64Array;
}

export interface SceneLook {
  readonly row: LookRow;
  readonly minutes: number;
  /** How likely each answer is under each kind of suspect; answers that tell the same are one. */
  readonly answers: readonly Float64Array[];
}

export interface SceneCure {
  readonly row: CureRow;
  readonly minutes: number;
  /** The kinds of suspects that it mends. */
  readonly mends: readonly number[];
}

/** The least likely suspects, that together make up less than this, do not move the choice. */
const LEFT_OUT = 0.05;

/** @param left the steps that may still be taken */
export function sceneOf({ looks, cures }: Case, belief: Belief, left: (id: string) => boolean): Scene {
  const alive = likeliest(belief);
  const kinds = new Map<string, number[]>();
  for (const index of alive) {
    const key = `${looks.map(({ look, shows, likelihood }) => (look.does === "ask" ? likelihood[index]?.join() : shows[index])).join("|")} ${cures.map(({ mends }) => mends[index]).join("")}`;
    const kind = kinds.get(key);
    if (kind) kind.push(index);
    else kinds.set(key, [index]);
  }
  const members = [...kinds.values()];
  const sum = alive.reduce((all, index) => all + (belief[index] ?? 0), 0) || 1;
  const weights = Float64Array.from(members, (list) => list.reduce((all, index) => all + (belief[index] ?? 0), 0) / sum);
  const first = members.map(([index]) => index ?? 0);
  const kept = cures.flatMap((row): SceneCure[] => {
    if (!left(row.id)) return [];
    const mends = [...first.keys()].filter((kind) => row.mends[first[kind] ?? 0]);
    return mends.length ? [{ row, minutes: row.minutes, mends }] : [];
  });
  return {
    weights,
    looks: looks.flatMap((row): SceneLook[] => {
      if (!left(row.id)) return [];
      const answers = answersApart(row, first);
      return answers.length > 1 ? [{ row, minutes: row.minutes, answers }] : [];
    }),
    cures: kept,
    scratch: {
      order: Uint16Array.from(kept, (_, at) => at),
      rates: new Float64Array(kept.length),
      open: new Float64Array(weights.length),
      minutes: new Float64Array(kept.length),
      still: new Float64Array(kept.length),
    },
  };
}

/** The suspects that make up nearly all of a belief. */
function likeliest(belief: Belief): readonly number[] {
  const order = [...belief.keys()].filter((index) => (belief[index] ?? 0) > 0).sort((a, b) => (belief[b] ?? 0) - (belief[a] ?? 0));
  let rest = 1;
  const kept: number[] = [];
  for (const index of order) {
    if (rest < LEFT_OUT) break;
    kept.push(index);
    rest -= belief[index] ?? 0;
  }
  return kept;
}

/** The answers of a look that tell these suspects apart; those that are equally likely under all of them are added up. */
function answersApart({ answers, likelihood }: LookRow, suspects: readonly number[]): readonly Float64Array[] {
  const apart = new Map<string, Float64Array>();
  for (const answer of answers.keys()) {
    const column = Float64Array.from(suspects, (index) => likelihood[index]?.[answer] ?? 0);
    const top = Math.max(...column);
    if (top <= 0) continue;
    // Columns that are multiples of each other lead to the same belief.
    const key = column.map((value) => Math.round((value / top) * 1e6)).join();
    const known = apart.get(key);
    apart.set(key, known ? known.map((value, at) => value + (column[at] ?? 0)) : column);
  }
  return [...apart.values()];
}

/**
 * Minutes until the room is mended by cures alone, in the order of probability over cost; what one has mended already counts no more. At any
 * point giving up may be cheaper. The weights need not add up to one.
 */
export function curesInOrder({ cures, scratch }: Scene, weights: Float64Array): number {
  let total = 0;
  for (const weight of weights) total += weight;
  const last: number = FINDING_MINUTES["give-up"];
  if (total <= 0) return 0;
  const { order, rates, open, minutes, still } = scratch;
  for (let at = 0; at < cures.length; at += 1) {
    const cure = cures[at];
    let share = 0;
    if (cure) for (const kind of cure.mends) share += weights[kind] ?? 0;
    rates[at] = cure ? share / cure.minutes : 0;
  }
  sortByRate(order, rates);
  open.set(weights);
  let left = total;
  let stages = 0;
  for (const at of order) {
    const cure = cures[at];
    if (!cure || left <= total * NEGLIGIBLE) break;
    let gain = 0;
    for (const kind of cure.mends) {
      gain += open[kind] ?? 0;
      open[kind] = 0;
    }
    if (gain <= total * NEGLIGIBLE) continue;
    minutes[stages] = cure.minutes;
    still[stages] = Math.max(0, left - gain) / left;
    left -= gain;
    stages += 1;
  }
  let after = last;
  for (let stage = stages - 1; stage >= 0; stage -= 1) after = Math.min(last, (minutes[stage] ?? 0) + (still[stage] ?? 0) * after);
  return after;
}
const NEGLIGIBLE = 1e-5;

/** Puts the highest rate first. From one belief to the next the order hardly changes, so that inserting is the quickest. */
function sortByRate(order: Uint16Array, rates: Float64Array): void {
  for (let end = 1; end < order.length; end += 1) {
    const moving = order[end] ?? 0;
    const rate = rates[moving] ?? 0;
    let at = end - 1;
    while (at >= 0 && (rates[order[at] ?? 0] ?? 0) < rate) {
      order[at + 1] = order[at] ?? 0;
      at -= 1;
    }
    order[at + 1] = moving;
  }
}
