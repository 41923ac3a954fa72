import { VISIT_MINUTES, VISIT_WORKS, type VisitWork } from "@/core/facts";
import type { VisitEntry } from "@/core/job";
import type { VisitStep } from "./step";

/** Minutes of hands, from and to, and the wait after them. */
export interface MinutesRange {
  readonly from: number;
  readonly to: number;
  readonly wait: number;
}
export type MinutesTable = Readonly<Record<VisitWork, MinutesRange>>;

/** What the firm's own visits took, by kind of work, and from how many steps. */
export type LearnedMinutes = Readonly<Partial<Record<VisitWork, { readonly from: number; readonly to: number; readonly steps: number }>>>;

/** Fewer finished steps of a kind than this teach nothing. */
export const LEAST_STEPS = 5;
/** A step that took this many times the longest usual was interrupted, and one of so small a part of the shortest was ticked afterwards: they teach nothing. */
const [MOST_TIMES, LEAST_PART] = [4, 0.25];

/**
 * The middle half of what finished steps took, to the half minute, for each kind of work with enough of them.
 * @param entries of all visits; only finished steps that were timed count
 */
export function learnedMinutes(entries: readonly Pick<VisitEntry, "state" | "work" | "minutes">[]): LearnedMinutes {
  const learned = VISIT_WORKS.flatMap((work) => {
    const usual = VISIT_MINUTES[work];
    const taken = entries
      .flatMap(({ state, work: of, minutes }) =>
        state === "done" && of === work && minutes !== null && minutes >= usual.from * LEAST_PART && minutes <= usual.to * MOST_TIMES
          ? [minutes]
          : [],
      )
      .toSorted((a, b) => a - b);
    if (taken.length < LEAST_STEPS) return [];
    return [[work, { from: toHalf(quantile(taken, 0.25)), to: toHalf(quantile(taken, 0.75)), steps: taken.length }] as const];
  });
  return Object.fromEntries(learned);
}

const toHalf = (minutes: number): number => Math.max(0.5, Math.round(minutes * 2) / 2);

/** By linear interpolation between the sorted values (Hyndman and Fan 1996, type 7). */
function quantile(sorted: readonly number[], part: number): number {
  const at = (sorted.length - 1) * part;
  const [low, high] = [sorted[Math.floor(at)] ?? 0, sorted[Math.ceil(at)] ?? 0];
  return low + (high - low) * (at - Math.floor(at));
}

/** The minutes that count: what the firm wrote down, else what its visits took, else the usual ones. Waits are the devices' own. */
export function minutesTable(
  own: Readonly<Partial<Record<VisitWork, { readonly from: number; readonly to: number }>>> = {},
  learned: LearnedMinutes = {},
): MinutesTable {
  const row = (work: VisitWork): MinutesRange => {
    const { from, to } = own[work] ?? learned[work] ?? VISIT_MINUTES[work];
    return { from, to, wait: VISIT_MINUTES[work].wait };
  };
  return Object.fromEntries(VISIT_WORKS.map((work) => [work, row(work)])) as Record<VisitWork, MinutesRange>;
}

/** The usual minutes of the trade. */
export const USUAL_MINUTES: MinutesTable = VISIT_MINUTES;

/** Minutes of hands of a step: the middle of its range, or what was written with a step added by hand. */
export const minutesOf = ({ work, added }: Pick<VisitStep, "work" | "added">, table: MinutesTable): number =>
  added?.minutes ?? Math.round((table[work].from + table[work].to) * 2) / 4;
/** From and to of a step, and the wait after it. */
export const rangeOf = ({ work, added }: Pick<VisitStep, "work" | "added">, table: MinutesTable): MinutesRange =>
  added ? { from: added.minutes, to: added.minutes, wait: 0 } : table[work];
export const waitOf = ({ work }: Pick<VisitStep, "work">, table: MinutesTable): number => table[work].wait;
