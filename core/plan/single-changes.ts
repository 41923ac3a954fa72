import { scoreArrival, solve, solveAgain, type Arrival, type Solved } from "@/core/chain";
import type { SettingState } from "@/core/device";
import { applyCommand, type Job } from "@/core/job";
import { costOf, possibleChanges, type Change } from "./changes";
import { delayChange } from "./delay-change";
import { movedRooms, movesAnything, type MovedRows } from "./moved-rows";
import { purchases } from "./purchase";

/** A change with what it does to the board. */
export interface WeighedChange extends Change, MovedRows {
  readonly after: readonly Arrival[];
}

/**
 * Every single change that moves a row, up or down, in its sound or its picture, each simulated through the whole chain. Those that
 * lower no sound first, then the cheapest, then the one that lifts most; equal ones keep the order of the document.
 */
export function weighedChanges(job: Job, state: SettingState = "planned"): readonly WeighedChange[] {
  const before = solve(job, state);
  const delay = delayChange(before, state);
  return inOrder(
    [...possibleChanges(job, state), ...(delay ? [delay] : [])].flatMap((change) => {
      const weighed = weigh(before, change);
      return weighed && !isMereLoss(weighed) ? [weighed] : [];
    }),
  );
}

/** Pulling a cable out and thereby only losing something is no proposal. */
const isMereLoss = (change: WeighedChange): boolean => change.command.kind === "unplug" && bringsNothing(change);

/** Those of them that lift the sound of at least one row. */
export const liftingChanges = (job: Job, state: SettingState = "planned"): readonly WeighedChange[] =>
  weighedChanges(job, state).filter(({ lifts }) => lifts.length > 0);

const inOrder = (changes: readonly WeighedChange[]): readonly WeighedChange[] =>
  changes.toSorted(
    (a, b) =>
      a.lowers.length - b.lowers.length ||
      // What only makes something worse is last.
      Number(bringsNothing(a)) - Number(bringsNothing(b)) ||
      a.pictureLowers.length - b.pictureLowers.length ||
      costOf([a]) - costOf([b]) ||
      b.lifts.length - a.lifts.length ||
      b.pictureLifts.length - a.pictureLifts.length ||
      gain(b) - gain(a),
  );

const bringsNothing = ({ lifts, pictureLifts, syncLifts }: WeighedChange): boolean =>
  lifts.length + pictureLifts.length + syncLifts.length === 0;

/** What one change does; null where it cannot be made or moves nothing. */
export function weigh(before: Solved, change: Change): WeighedChange | null {
  const applied = applyCommand(before.job, change.command);
  if (!applied.ok) return null;
  const after = solveAgain(before, applied.value.job);
  const moved = movedRooms(before, after);
  return movesAnything(moved) ? { ...change, ...moved, after: after.rows } : null;
}

const gain = ({ after, lifts }: WeighedChange): number =>
  after.reduce((sum, arrival) => (lifts.includes(arrival.id) ? sum + scoreArrival(arrival) : sum), 0);

/** What buying one device would add, in each place it could take; the place that lifts most first. Empty where it lifts nothing. */
export function weighedPurchases(job: Job, archetype: string, state: SettingState = "planned"): readonly WeighedChange[] {
  const before = solve(job, state);
  return inOrder(purchases(job, archetype).flatMap((change) => weigh(before, change) ?? [])).filter(({ lifts }) => lifts.length > 0);
}
