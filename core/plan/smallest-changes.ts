import { makeRig, solve, solveAgain, type Arrival, type Question, type Solved, type SolvedUnit } from "@/core/chain";
import type { SettingState } from "@/core/device";
import { applyCommand, stepsOf, type Command, type Job } from "@/core/job";
import { ALIKE, BestSoFar, type Solution } from "./best-so-far";
import { makeBounds, type Bounds, type Room } from "./bounds";
import { asked, meets, socketsOf, withWhatIsInTheWay, type ChangeQuestions } from "./change-questions";
import { costOf, possibleChanges, type Change, type ChangeKind } from "./changes";
import { PriorityQueue } from "./priority-queue";
import { delayChange } from "./delay-change";
import { movedRooms, type MovedRows } from "./moved-rows";
import { purchases } from "./purchase";
import { isAtLeast, totalOf, type UnitWorth } from "./row-worth";
import { allowedKinds } from "./wished";

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
   * every-row: each row has the sound and picture that this gear can give at most, and no cheaper set does that;
   * best-together: not every row can have its best at once, and no other set brings more in sum, or as much for less;
   * not-proven: the search was cut off, so a better or cheaper set may exist.
   */
  readonly proof: "every-row" | "best-together" | "not-proven";
  /** Rows that some set not looked at might still lift; 0 where the answer is proven. */
  readonly open: number;
  /** Single changes that lift a row and lower another, the least harm first: they are no set, for a set lowers nothing. */
  readonly atAPrice: readonly ChangeSet[];
  /** How many sets were looked at. */
  readonly looked: number;
}

export interface SearchOptions {
  readonly state?: SettingState;
  /** The kinds of change to think of; without "cable" nothing is bought. */
  readonly kinds?: readonly ChangeKind[];
  readonly mostNodes?: number;
  /** Tells the time in milliseconds; after `mostMs` the search is cut off. Without a clock nothing is. */
  readonly clock?: () => number;
  readonly mostMs?: number;
  /** The archetypes of boxes that are at hand, as in the van: a set may hold one of them. */
  readonly boxes?: readonly string[];
}

/** The one command that makes all changes of a set. */
export const commandOf = ({ changes }: Pick<ChangeSet, "changes">): Command => ({
  kind: "batch",
  commands: changes.flatMap(({ command }) => stepsOf(command)),
});

/** What stays the same through one search. */
interface Search {
  readonly start: Solved;
  readonly kinds: readonly ChangeKind[];
  readonly boxes: readonly string[];
  readonly bounds: Bounds;
}

/**
 * A part of all sets: those that hold these changes, none of the forbidden ones, and none that would give another answer to a fixed
 * question. It may still be unsolved: it is computed only when it is the most promising part left.
 */
interface Node {
  readonly changes: readonly Change[];
  readonly job: Job;
  readonly before: Solved;
  readonly solved: Solved | null;
  readonly cost: number;
  readonly fixed: ReadonlySet<Question>;
  /** Sockets whose plugs are decided. */
  readonly plugged: ReadonlySet<Question>;
  readonly forbidden: ReadonlySet<string>;
  /** No set of this part brings more in sum. */
  readonly most: number;
  /** Cost so far plus the least that is still to come. */
  readonly estimate: number;
}

const MOST_NODES = 1500;
const MOST_AT_A_PRICE = 3;
/**
 * The smallest set of changes that lifts all rows as far as they can be lifted together without lowering any, by branch and bound.
 *
 * A row stays as it is until one of the questions that its answer rests on gets another answer. So the sets are parted by one row that
 * stands below its bound: those that make no further change which this row asks about (its questions are then fixed), and for each
 * change that it asks about those that make it and none of the changes before it. No set is in two parts, and none is left out. What a row
 * could ever be is bounded by `bestUpperBound`, with all that is fixed as it is, and by the best sockets of its picture. Every single
 * change is tried first. `mostNodes` and the time cut the search off; the answer then says so.
 */
export function smallestChanges(job: Job, options: SearchOptions = {}): SmallestChanges {
  const { state = "planned", kinds = allowedKinds(job), mostNodes = MOST_NODES, clock, mostMs = Infinity } = options;
  const begun = clock?.() ?? 0;
  const isOver = () => clock !== undefined && clock() - begun > mostMs;
  const start = solve(job, state);
  const boxes = kinds.includes("box") ? (options.boxes ?? []) : [];
  const inPlaces = boxes.flatMap((archetype) => purchases(job, archetype));
  const search: Search = { start, kinds, boxes, bounds: makeBounds(start, kinds, inPlaces) };
  const none: Solution = { changes: [], cost: 0, solved: start, total: sumOf(search, start) };
  const singles = singleSolutions(search, none, isOver);
  const record = new BestSoFar(start, none);
  for (const single of singles) record.offer(single);
  const { looked, isWhole, open } = branchAndBound(search, record, (sets) => sets >= mostNodes || isOver());
  const best = withDelay(record.best, start);
  const proof = !isWhole ? "not-proven" : isEveryRow(search, record.best.solved) ? "every-row" : "best-together";
  return {
    best: asSet(best, start),
    ties: record.ties.map((tie) => asSet(tie, start)),
    proof,
    open: isWhole ? 0 : open,
    atAPrice: atAPrice(singles, start),
    looked: looked + singles.length,
  };
}

function branchAndBound(
  search: Search,
  record: BestSoFar,
  isEnough: (looked: number) => boolean,
): { looked: number; isWhole: boolean; open: number } {
  const { start } = search;
  const root: Node = {
    changes: [],
    job: start.job,
    before: start,
    solved: start,
    cost: 0,
    fixed: new Set(),
    plugged: new Set(),
    forbidden: new Set(),
    most: Infinity,
    estimate: 0,
  };
  // The cheapest first, and of those the one that is furthest on.
  const queue = new PriorityQueue<Node>((a, b) => a.estimate - b.estimate || b.cost - a.cost);
  queue.push(root);
  let looked = 0;
  for (let node = queue.take(); node; node = queue.take()) {
    if (record.isBeyond(node)) continue;
    if (isEnough(looked)) return { looked, isWhole: false, open: openRows(search, record.best.solved) };
    if (!node.solved) {
      looked += 1;
      record.noteLook(node);
    }
    const solved = node.solved ?? solveAgain(node.before, node.job);
    const parts = partsOf(search, record, { ...node, solved });
    for (const part of parts) if (!record.isBeyond(part)) queue.push(part);
  }
  return { looked, isWhole: true, open: 0 };
}

/** Offers a solved node to the record and parts what is left of it. */
function partsOf(search: Search, record: BestSoFar, node: Node & { readonly solved: Solved }): readonly Node[] {
  const { bounds } = search;
  const { solved, fixed, changes } = node;
  record.offer({ changes, cost: node.cost, solved, total: sumOf(search, solved) });
  const room = { solved, rig: makeRig(solved.job, solved.state) };
  const canHaveBox = search.boxes.length > 0 && !changes.some(({ kind }) => kind === "box");
  const units: Low[] = [];
  for (const key of bounds.units) {
    const unit = solved.units.find((one) => one.key === key);
    const most = unit && bounds.whileFixed(room, unit, { fixed, plugged: node.plugged, boxes: canHaveBox });
    // A content that is gone, or can never come back to where it was, makes every set of this part one that lowers something.
    if (!unit || !most || !isAtLeast(most, bounds.least(key))) return [];
    units.push({ unit, now: bounds.worth(solved, unit), most });
  }
  const most = units.reduce((sum, unit) => sum + totalOf(unit.most), 0);
  const low = units.filter(({ now, most: bound }) => !isAtLeast(now, bound));
  if (low.length === 0 || record.isBeyond({ most, estimate: node.cost })) return [];
  const useful = usefulChanges(search, node);
  const touching = low.map((one) => {
    const asked = withWhatIsInTheWay(solved.job, askedWhereLow(bounds, room, one));
    return { asked, changes: useful.filter(({ questions }) => meets(asked, questions)) };
  });
  const branched = touching.reduce((least, one) => (one.changes.length < least.changes.length ? one : least));
  const least = Math.max(...low.map(({ unit, most: goal }) => bounds.leastCost(room, unit, goal)));
  const estimate = most > record.best.total + ALIKE ? node.cost : node.cost + least;
  const without: Node = { ...node, fixed: new Set([...fixed, ...branched.asked]), most, estimate };
  return [
    without,
    ...branched.changes.flatMap(({ change, questions }, index): readonly Node[] => {
      const made = [...changes, change];
      const cost = costOf(made);
      if (record.isBeyond({ most, estimate: Math.max(cost, estimate) })) return [];
      const applied = applyCommand(solved.job, change.command);
      if (!applied.ok) return [];
      return [
        {
          changes: made,
          job: applied.value.job,
          before: solved,
          solved: null,
          cost,
          // A setting is decided once; a cable that was moved can still be changed for another.
          fixed: change.kind === "setting" ? new Set([...fixed, ...questions]) : fixed,
          plugged: new Set([...node.plugged, ...socketsOf(change)]),
          forbidden: new Set([...node.forbidden, ...branched.changes.slice(0, index).map((earlier) => earlier.key)]),
          most,
          estimate: Math.max(cost, estimate),
        },
      ];
    }),
  ];
}

interface Low {
  readonly unit: SolvedUnit;
  readonly now: UnitWorth;
  readonly most: UnitWorth;
}

/** What a content asks about as far as it is below its bound: its sound, its picture, or both. */
function askedWhereLow(bounds: Bounds, room: Room, { unit, now, most }: Low): ReadonlySet<Question> {
  const { sound, picture } = bounds.questions(room, unit);
  const isSoundLow = now.sound < most.sound;
  const isPictureLow = [...most.pictures].some(([screen, bound]) => (now.pictures.get(screen) ?? 0) < bound);
  return isSoundLow && isPictureLow ? new Set([...sound, ...picture]) : isSoundLow ? sound : picture;
}

interface Useful extends ChangeQuestions {
  readonly change: Change;
}

/** Every change that a part allows. */
function usefulChanges(
  { kinds, boxes }: Search,
  { changes, solved, fixed, forbidden }: Pick<Node, "changes" | "fixed" | "forbidden"> & { readonly solved: Solved },
): readonly Useful[] {
  const decided = new Set(changes.flatMap(({ decides }) => decides));
  const inBoxes = changes.some(({ kind }) => kind === "box") ? [] : boxes.flatMap((box) => purchases(solved.job, box));
  return [...possibleChanges(solved.job, solved.state), ...inBoxes].flatMap((change): Useful[] => {
    if (!kinds.includes(change.kind) || change.decides.some((what) => decided.has(what))) return [];
    const { key, questions } = asked(solved.job, change);
    return forbidden.has(key) || meets(fixed, questions) ? [] : [{ change, key, questions }];
  });
}

/** Every single change as a set of its own, as far as there is time for it. */
function singleSolutions(search: Search, none: Solution, isOver: () => boolean): readonly Solution[] {
  const root = { changes: [], solved: none.solved, fixed: new Set<Question>(), forbidden: new Set<string>() };
  return usefulChanges(search, root).flatMap(({ change, questions }) => {
    if (isOver() || !none.solved.units.some((unit) => meets(unit.asked.questions, questions))) return [];
    const applied = applyCommand(none.solved.job, change.command);
    if (!applied.ok) return [];
    const solved = solveAgain(none.solved, applied.value.job);
    return [{ changes: [change], cost: costOf([change]), solved, total: sumOf(search, solved) }];
  });
}

function atAPrice(singles: readonly Solution[], start: Solved): readonly ChangeSet[] {
  return singles
    .map((single) => asSet(single, start))
    .filter(
      ({ lifts, pictureLifts, lowers, pictureLowers }) =>
        lifts.length + pictureLifts.length > 0 && lowers.length + pictureLowers.length > 0,
    )
    .toSorted(
      (a, b) =>
        a.lowers.length + a.pictureLowers.length - (b.lowers.length + b.pictureLowers.length) ||
        b.lifts.length + b.pictureLifts.length - (a.lifts.length + a.pictureLifts.length) ||
        a.cost - b.cost,
    )
    .slice(0, MOST_AT_A_PRICE);
}

const sumOf = ({ bounds }: Search, solved: Solved): number =>
  solved.units.reduce((sum, unit) => sum + totalOf(bounds.worth(solved, unit)), 0);

const lowUnits = ({ bounds }: Search, solved: Solved): readonly SolvedUnit[] =>
  solved.units.filter((unit) => bounds.units.includes(unit.key) && !isAtLeast(bounds.worth(solved, unit), bounds.ever(unit.key)));
const isEveryRow = (search: Search, solved: Solved): boolean => lowUnits(search, solved).length === 0;
const openRows = (search: Search, solved: Solved): number => lowUnits(search, solved).reduce((sum, { rows }) => sum + rows.length, 0);

/** A sound delay to set moves no sound and no picture, so the best one is added at the end. */
function withDelay(solution: Solution, start: Solved): Solution {
  const change = delayChange(solution.solved, start.state);
  const applied = change && applyCommand(solution.solved.job, change.command);
  if (!change || !applied?.ok) return solution;
  const changes = [...solution.changes, change];
  return { ...solution, changes, cost: costOf(changes), solved: solveAgain(solution.solved, applied.value.job) };
}

const asSet = ({ changes, cost, solved }: Solution, start: Solved): ChangeSet => ({
  changes,
  cost,
  after: solved.rows,
  ...movedRooms(start, solved),
});
