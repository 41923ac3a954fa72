import { changedQuestions, solve, solveAgain, type Arrival, type Solved } from "@/core/chain";
import type { SettingState } from "@/core/device";
import { applyCommand, type Command, type Job } from "@/core/job";
import { makeBounds, type Bounds } from "./bounds";
import { costOf, possibleChanges, type Change, type ChangeKind } from "./changes";
import { movedRows, type MovedRows } from "./moved-rows";
import { purchases } from "./purchase";
import { allowedKinds, wishedScoreOf } from "./wished";

/** A set of changes made together, and what it does. */
export interface ChangeSet extends MovedRows {
  readonly changes: readonly Change[];
  readonly cost: number;
  readonly after: readonly Arrival[];
}

export interface SmallestChanges {
  /** The cheapest set that lifts every row as far as it is known to go, or the best that was found; empty changes: leave all as it is. */
  readonly best: ChangeSet;
  /** Other sets that do the same at the same cost. */
  readonly ties: readonly ChangeSet[];
  /**
   * every-row: each row stands as high as this gear can ever carry it, and no cheaper set does that;
   * best-together: not every row can have its best at once, and all sets were tried;
   * not-proven: the search was cut off, so a better or cheaper set may exist.
   */
  readonly proof: "every-row" | "best-together" | "not-proven";
  /** How many sets were looked at. */
  readonly looked: number;
}

export interface SearchOptions {
  readonly state?: SettingState;
  /** The kinds of change to think of; without "cable" nothing is bought. */
  readonly kinds?: readonly ChangeKind[];
  readonly mostNodes?: number;
  /** The archetypes of boxes that are at hand, as in the van: a set may hold one of them. */
  readonly boxes?: readonly string[];
}

/** What stays the same through one search. */
interface Search {
  readonly state: SettingState;
  readonly kinds: readonly ChangeKind[];
  readonly boxes: readonly string[];
  readonly bounds: Bounds;
}

/** The one command that makes all changes of a set. */
export const commandOf = ({ changes }: Pick<ChangeSet, "changes">): Command => ({
  kind: "batch",
  commands: changes.flatMap(({ command }) => (command.kind === "batch" ? command.commands : [command])),
});

/** A set of changes that may still be unsolved: it is worked out only when it is the most promising one left. */
interface Node {
  readonly changes: readonly Change[];
  readonly job: Job;
  /** The solved job that this one is solved from. */
  readonly before: Solved;
  readonly solved: Solved | null;
  readonly cost: number;
  /** Cost so far plus the least that is still to come. */
  readonly estimate: number;
}

const MOST_TIES = 4;
/** How far the search goes on for other sets of the same cost once one is found. */
const LOOKS_FOR_TIES = 150;

/**
 * The smallest set of changes that lifts all rows as far as the gear can carry them, by best-first search.
 *
 * Two things make it exact. A row stays as it is until one of the questions its answer rests on gets another answer, so only changes
 * that touch such a question are tried. And what a row could ever be is bounded from above by `optimisticBest`, first with only
 * settings free, then plugs, then cables: while that bound is too low, a dearer change must still come, and its cost is reckoned in.
 * `mostNodes` cuts the search off; the answer then says so.
 */
export function smallestChanges(job: Job, options: SearchOptions = {}): SmallestChanges {
  const { state = "planned", kinds = allowedKinds(job), mostNodes = 1500 } = options;
  const start = solve(job, state);
  const boxes = kinds.includes("box") ? (options.boxes ?? []).flatMap((archetype) => purchases(job, archetype)) : [];
  const search: Search = { state, kinds, boxes: options.boxes ?? [], bounds: makeBounds(start, kinds, boxes) };
  const { bounds } = search;
  const root: Node = { changes: [], job, before: start, solved: start, cost: 0, estimate: bounds.leastStillToCome(start) };
  const queue: Node[] = [root];
  const seen = new Set([""]);
  const goals: Solution[] = [];
  let found: Solution = { changes: [], cost: 0, solved: start };
  let looked = 0;
  let sinceGoal = 0;
  while (queue.length && looked < mostNodes && sinceGoal < LOOKS_FOR_TIES) {
    const node = takeCheapest(queue);
    if (goals[0] && node.estimate > goals[0].cost) break;
    if (goals[0]) sinceGoal += 1;
    if (!node.solved) {
      looked += 1;
      const solved = solveAgain(node.before, node.job);
      queue.push({ ...node, solved, estimate: Math.max(node.estimate, node.cost + bounds.leastStillToCome(solved)) });
      continue;
    }
    const solution: Solution = { changes: node.changes, cost: node.cost, solved: node.solved };
    if (bounds.isDone(node.solved)) {
      goals.push(solution);
      if (goals.length > MOST_TIES) break;
      continue;
    }
    if (isBetter(solution, found, start)) found = solution;
    for (const { change, job: after } of usefulChanges(solution, search)) {
      const changes = [...node.changes, change];
      const key = keyOf(changes);
      if (seen.has(key)) continue;
      seen.add(key);
      const cost = costOf(changes);
      const least = change.kind === "setting" ? bounds.leastForWiring(node.solved) : 0;
      queue.push({ changes, job: after, before: node.solved, solved: null, cost, estimate: Math.max(node.estimate, cost + least) });
    }
  }
  const [best, ...ties] = goals;
  if (best) return { best: asSet(best, start), ties: ties.map((tie) => asSet(tie, start)), proof: "every-row", looked };
  return { best: asSet(found, start), ties: [], proof: queue.length ? "not-proven" : "best-together", looked };
}

/** A solved set of changes. */
interface Solution {
  readonly changes: readonly Change[];
  readonly cost: number;
  readonly solved: Solved;
}

function takeCheapest(queue: Node[]): Node {
  let at = 0;
  queue.forEach((node, index) => {
    const than = queue[at];
    if (than && (node.estimate < than.estimate || (node.estimate === than.estimate && node.cost > than.cost))) at = index;
  });
  const [node] = queue.splice(at, 1);
  if (!node) throw new Error("the queue is empty");
  return node;
}

const keyOf = (changes: readonly Change[]): string =>
  changes
    .map(({ command }) => JSON.stringify(command))
    .toSorted()
    .join("|");

const asSet = ({ changes, cost, solved }: Solution, start: Solved): ChangeSet => ({
  changes,
  cost,
  after: solved.rows,
  ...movedRows(start.rows, solved.rows),
});

/** A set that lowers nothing and lifts more in sum, or as much for less. */
function isBetter(node: Solution, than: Solution, start: Solved): boolean {
  if (movedRows(start.rows, node.solved.rows).lowers.length) return false;
  const difference = total(node.solved) - total(than.solved);
  return difference > 0 || (difference === 0 && node.cost < than.cost);
}

const total = ({ job, rows }: Solved): number => rows.reduce((sum, row) => sum + wishedScoreOf(job, row), 0);

/** Changes of things not yet decided, which touch a question that a row below its bound rests on, each with the job it makes. */
function usefulChanges(
  { changes, solved }: Solution,
  { state, kinds, boxes, bounds }: Search,
): readonly { readonly change: Change; readonly job: Job }[] {
  const decided = new Set(changes.flatMap(({ decides }) => decides));
  const asked = new Set(solved.units.flatMap((unit) => (bounds.isLow(unit.key, unit.rows) ? [...unit.asked] : [])));
  const inBoxes =
    kinds.includes("box") && !changes.some(({ kind }) => kind === "box") ? boxes.flatMap((box) => purchases(solved.job, box)) : [];
  return [...possibleChanges(solved.job, state), ...inBoxes].flatMap((change) => {
    if (!kinds.includes(change.kind) || change.decides.some((what) => decided.has(what))) return [];
    const applied = applyCommand(solved.job, change.command);
    if (!applied.ok) return [];
    const { job } = applied.value;
    for (const question of changedQuestions(solved.job, job, state)) if (asked.has(question)) return [{ change, job }];
    return [];
  });
}
