import { FINDING_MINUTES } from "@/core/facts";
import type { Belief } from "./belief";
import type { Case, CureRow, LookRow } from "./case";
import { isCure, type Choice } from "./choose";

/** As many kinds of suspects are solved exactly. */
export const MOST_EXACT = 18;
/** And as many sets of them are looked at. */
const MOST_STATES = 60_000;
/** Suspects that are less likely are left out of an exact answer. */
const NEGLIGIBLE = 1e-4;

/** A room whose looks never err: suspects that nothing tells apart and that the same cures mend are one. */
interface Plain {
  readonly weights: readonly number[];
  readonly looks: readonly { readonly row: LookRow; readonly parts: readonly number[] }[];
  readonly cures: readonly { readonly row: CureRow; readonly mends: number }[];
}

/**
 * The optimal troubleshooting policy of a small room, by dynamic programming over the sets of suspects that are left. Looks are taken as free
 * of errors; questions to the household, which are never certain, are left out. Source: Jensen et al. 2001, optimal troubleshooting with questions.
 * @param left the steps that may still be taken
 * @param most as many kinds of suspects are solved, at most `MOST_EXACT`
 * @returns the first step with the minutes of the whole policy; null where the room is too large
 */
export function chooseExactly(given: Case, belief: Belief, left: (id: string) => boolean = () => true, most = MOST_EXACT): Choice | null {
  const room = plainRoom(
    { ...given, looks: given.looks.filter(({ id }) => left(id)), cures: given.cures.filter(({ id }) => left(id)) },
    belief,
    most,
  );
  return room && bestOfAll(room);
}

/** What a policy needs on average where looks never err. It is asked for a step for each set of suspects that is left. */
export function minutesOfPolicy(
  given: Case,
  belief: Belief,
  choose: (left: Belief, taken: ReadonlySet<string>) => LookRow | CureRow | null,
): number {
  const total = belief.reduce((sum, one) => sum + one, 0);
  const run = (left: Belief, share: number, taken: ReadonlySet<string>): number => {
    if (share <= 0) return 0;
    const row = choose(left, taken);
    if (!row || taken.size > 400) return share * FINDING_MINUTES["give-up"];
    const next = new Set([...taken, row.id]);
    if (isCure(row)) {
      const open = left.map((weight, index) => (row.mends[index] ? 0 : weight));
      return share * row.minutes + run(open, sumOf(open), next);
    }
    const answers = new Set([...row.shows].filter((_, index) => (left[index] ?? 0) > 0));
    let minutes = share * row.minutes;
    for (const answer of answers) {
      const part = left.map((weight, index) => (row.shows[index] === answer ? weight : 0));
      minutes += run(part, sumOf(part), next);
    }
    return minutes;
  };
  return run(belief, total, new Set()) / (total || 1);
}

/** A case whose looks never err and whose household is asked nothing: what the exact policy is for. */
export const withoutErrors = (given: Case): Case => ({
  ...given,
  looks: given.looks
    .filter(({ look }) => look.does !== "ask")
    .map((row) => ({
      ...row,
      likelihood: [...row.shows].map((shown) => Float64Array.from(row.answers, (_, index) => (index === shown ? 1 : 0))),
    })),
});

const sumOf = (weights: Float64Array): number => weights.reduce((sum, one) => sum + one, 0);

function plainRoom({ suspects, looks, cures }: Case, belief: Belief, most: number): Plain | null {
  const alive = suspects.flatMap(({ faults }, index) =>
    (belief[index] ?? 0) > NEGLIGIBLE && faults.every(({ kind }) => kind !== "unknown") ? [index] : [],
  );
  const certain = looks.filter(({ look }) => look.does !== "ask");
  const classes = new Map<string, number[]>();
  for (const index of alive) {
    const key = `${certain.map(({ shows }) => shows[index]).join()} ${cures.map(({ mends }) => mends[index]).join("")}`;
    classes.set(key, [...(classes.get(key) ?? []), index]);
  }
  const members = [...classes.values()];
  if (members.length === 0 || members.length > most) return null;
  const first = members.map(([index]) => index ?? 0);
  return {
    weights: members.map((list) => list.reduce((sum, index) => sum + (belief[index] ?? 0), 0)),
    looks: distinct(
      certain.map((row) => ({ row, parts: partsOf(first.map((index) => row.shows[index] ?? -1)) })),
      ({ parts }) => parts.join(),
    ).filter(({ parts }) => parts.length > 1),
    cures: distinct(
      cures.map((row) => ({ row, mends: maskOf(first.map((index) => row.mends[index] === 1)) })),
      ({ mends }) => String(mends),
    ).filter(({ mends }) => mends !== 0),
  };
}

const maskOf = (bits: readonly boolean[]): number => bits.reduce((mask, bit, index) => (bit ? mask | (1 << index) : mask), 0);

/** The suspects of each answer, as sets. */
const partsOf = (shows: readonly number[]): readonly number[] =>
  [...new Set(shows)].map((answer) => maskOf(shows.map((one) => one === answer))).toSorted((a, b) => a - b);

/** Of rows that do the same, the quickest. */
function distinct<Row extends { readonly row: { readonly minutes: number } }>(
  rows: readonly Row[],
  key: (row: Row) => string,
): readonly Row[] {
  const kept = new Map<string, Row>();
  for (const row of rows) {
    const known = kept.get(key(row));
    if (!known || row.row.minutes < known.row.minutes) kept.set(key(row), row);
  }
  return [...kept.values()];
}

interface Best {
  readonly minutes: number;
  readonly row: LookRow | CureRow | null;
}

function bestOfAll(room: Plain): Choice | null {
  const known = new Map<number, Best>();
  const weightOf = (mask: number): number => room.weights.reduce((sum, weight, index) => (mask & (1 << index) ? sum + weight : sum), 0);
  let isTooLarge = false;
  /** Minutes from here, times the weight of what is left. */
  const solve = (mask: number): Best => {
    if (mask === 0) return { minutes: 0, row: null };
    const before = known.get(mask);
    if (before) return before;
    if (known.size > MOST_STATES) {
      isTooLarge = true;
      return { minutes: 0, row: null };
    }
    const weight = weightOf(mask);
    let best: Best = { minutes: weight * FINDING_MINUTES["give-up"], row: null };
    for (const { row, mends } of room.cures) {
      if ((mends & mask) === 0) continue;
      const minutes = weight * row.minutes + solve(mask & ~mends).minutes;
      if (minutes < best.minutes) best = { minutes, row };
    }
    for (const { row, parts } of room.looks) {
      const met = parts.filter((part) => (part & mask) !== 0);
      if (met.length < 2 || weight * row.minutes >= best.minutes) continue;
      const minutes = met.reduce((sum, part) => sum + solve(part & mask).minutes, weight * row.minutes);
      if (minutes < best.minutes) best = { minutes, row };
    }
    known.set(mask, best);
    return best;
  };
  const all = (1 << room.weights.length) - 1;
  const { minutes, row } = solve(all);
  return isTooLarge || !row ? null : { row, expectedMinutes: minutes / (weightOf(all) || 1) };
}
