import { firstPlan } from "./first-plan";
import { boxSets, openTopologiesOf, type School, SCHOOLS, schoolsWanted } from "../topology";
import { newContext, withPictureBounds, type PlanContext } from "./configurations";
import type { WiringPlan } from "./plan-draft";
import { ALIKE } from "./plug-assignment";
import type { WiringSpace } from "../space";
import { PriorityQueue } from "../../priority-queue";
import { expand } from "./expand";
import { topologyNode, type OpenNode, type SearchState } from "./open-nodes";
import { boundOpenTopology, type BoundedTopology, hasSound, refined } from "./bounded-topology";
import { mostPoints, type Weights } from "../evaluation";

/** The best plan of each school, the best of all first, and how sure that is. */
export interface PlanSearch {
  readonly plans: readonly WiringPlan[];
  /** Schools without any plan; only where the search was complete. */
  readonly impossible: readonly School[];
  /** No plan beats the first. */
  readonly proven: boolean;
  /** How much better an unseen plan could be, in per cent of the best; 0 where it is proven. */
  readonly gap: number;
  readonly looked: { readonly topologies: number; readonly rooms: number };
  /** Each plan is also the best of its school. */
  readonly schoolsProven: boolean;
  /** Milliseconds until the first plan was proven or given up on; null without a clock. */
  readonly provenAfter: number | null;
}

export interface PlanOptions {
  /** The time in milliseconds; without it there is no time limit. */
  readonly clock?: () => number;
  readonly mostMs?: number;
  /** Called whenever a better plan is found. */
  readonly onBetter?: (best: WiringPlan) => void;
  /** Called with every plan that was played through the full engine, better or not. */
  readonly onPlayed?: (plan: WiringPlan) => void;
  /** Stop at the first plan. */
  readonly anyPlan?: boolean;
  /** Only the winner is wanted: the other schools are not searched for their own best. */
  readonly onlyBest?: boolean;
  /** Only plans with more points than this are looked for; another one may be found on the way. */
  readonly floor?: number;
}

/** So much of the time at most goes into laying out topologies; what is left of it is for searching those that were. */
const LAYING_OUT_SHARE = 0.5;

/**
 * Finds the best plan of every school for the given weights, by branch and bound. A topology is bounded by the reach of its sockets, a
 * configuration by a relaxed assignment of players to sockets; assignments are solved, estimated and played through the full engine, and
 * further ones are examined only while their bound beats the incumbent of their school. See docs/planner.md.
 */
export function searchPlans(space: WiringSpace, weights: Weights, options: PlanOptions = {}): PlanSearch {
  const { clock, mostMs = Infinity, onlyBest = false, anyPlan = false, floor = -Infinity } = options;
  const begun = clock?.() ?? 0;
  const found = new Found(options);
  const looked = { topologies: 0 };
  const isOver = () => (anyPlan && found.best.size > 0) || (clock !== undefined && clock() - begun > mostMs);
  const toBeat = () => Math.max(floor, found.points);
  const isLaidOut = () => clock !== undefined && clock() - begun > mostMs * LAYING_OUT_SHARE;
  let isCut = false;
  const topologiesOn = (by: PlanContext, sets: ReturnType<typeof boxSets>): readonly BoundedTopology[] => {
    const laid: BoundedTopology[] = [];
    for (const topology of openTopologiesOf(space, sets)) {
      const open = boundOpenTopology(by, topology);
      if (open.schools.length) laid.push(open);
      isCut = isLaidOut();
      if (isCut) break;
    }
    return laid;
  };
  /** A plan at once on the topology with the greatest upper bound, where an estimate says that it has more than so many points. */
  const atOnce = (by: PlanContext, all: readonly BoundedTopology[], points: number) => {
    const [open] = all.filter(hasSound).toSorted((a, b) => b.bound - a.bound);
    const [promising] = open
      ? refined(by, open, -Infinity)
          .filter(hasSound)
          .toSorted((a, b) => b.bound - a.bound)
      : [];
    const plan = promising ? firstPlan(by, promising, points) : null;
    if (plan) found.keep(plan);
  };
  // There are few topologies without a box, so a first plan is there at once.
  const sets = boxSets(space);
  const simple = newContext(space, weights);
  const bare = sets.filter((set) => set.length === 0);
  const simplest = topologiesOn(simple, bare);
  const hasTime = !isOver();
  if (hasTime) atOnce(simple, simplest, floor);
  const context = withPictureBounds(simple);
  const bounded = topologiesOn(context, sets);
  /** A search with the given incumbents. */
  const run = (incumbent: SearchState["incumbent"], mustSound = true): SearchState => ({
    context,
    best: found.best,
    incumbent,
    mustSound,
    counts: looked,
    keep: (room) => found.keep(room && (room.figures.heard || !mustSound) ? room : null),
  });
  const heard = explore(run(toBeat), bounded.filter(hasSound), isOver);
  // A search that runs out of time has a fair plan to show, on the topology that promised most.
  if (heard > -Infinity && hasTime && !anyPlan) atOnce(context, bounded, toBeat());
  // A plan without any sound counts only where no other has any.
  const isSilent = found.best.size === 0 && floor === -Infinity;
  const pending = bounded.filter((one) => isSilent || hasSound(one));
  const silent = isSilent ? explore(run(toBeat, false), pending, isOver) : -Infinity;
  // What there was no time to lay out could be as good as anything.
  const unseen = isCut ? mostPoints(space, weights) : -Infinity;
  const gap = gapOf(Math.max(heard, silent, unseen), toBeat());
  const provenAfter = clock ? clock() - begun : null;
  // The winner is known; now the best of every other school, for comparison.
  const ofEach = run((school) => found.best.get(school)?.points ?? -Infinity, !isSilent);
  const missed = onlyBest ? Infinity : Math.max(unseen, explore(ofEach, pending, isOver));
  const plans = [...found.best.values()].toSorted((a, b) => b.points - a.points || SCHOOLS.indexOf(a.school) - SCHOOLS.indexOf(b.school));
  return {
    plans,
    impossible: missed === -Infinity ? schoolsWanted(space).filter((school) => !plans.some((plan) => plan.school === school)) : [],
    proven: gap === 0,
    gap,
    schoolsProven: missed === -Infinity,
    looked: { topologies: looked.topologies, rooms: found.rooms },
    provenAfter,
  };
}

/** The best plan of each school so far. */
class Found {
  readonly best = new Map<School, WiringPlan>();
  /** Plans played through the full engine. */
  rooms = 0;

  constructor(private readonly options: PlanOptions) {}

  /** The points of the best of all. */
  points = -Infinity;

  /** Keeps a plan where it is the best of its school. */
  keep(plan: WiringPlan | null): WiringPlan | null {
    this.rooms += 1;
    if (!plan) return null;
    this.options.onPlayed?.(plan);
    if (plan.points <= (this.best.get(plan.school)?.points ?? -Infinity) + ALIKE) return plan;
    this.best.set(plan.school, plan);
    if (plan.points <= this.points) return plan;
    this.points = plan.points;
    this.options.onBetter?.(plan);
    return plan;
  }
}

/** The node with the greatest upper bound first; of two whose bounds are equal the one at the deeper level. */
const byBound = (a: OpenNode, b: OpenNode): number => Math.round(b.bound / ALIKE) - Math.round(a.bound / ALIKE) || b.depth - a.depth;

/**
 * Expands topologies, their configurations and the assignments there, always the open node with the greatest upper bound, until none could
 * beat the incumbents. Returns the bound of what was left open when the time ran out; -Infinity where nothing was.
 */
function explore(run: SearchState, pending: readonly BoundedTopology[], isOver: () => boolean): number {
  const open = new PriorityQueue<OpenNode>(byBound, pending.map(topologyNode));
  const isHopeless = (bound: number, schools: readonly School[]) => schools.every((school) => bound <= run.incumbent(school) + ALIKE);
  for (;;) {
    const node = open.first;
    if (!node || isHopeless(node.bound, SCHOOLS)) return -Infinity;
    if (isOver()) return node.bound;
    open.take();
    if (isHopeless(node.bound, node.schools)) continue;
    for (const left of expand(run, node, open.first?.bound ?? -Infinity)) open.push(left);
  }
}

/** How many more points an open node could have, in per cent; 100 where there is no plan yet. */
function gapOf(open: number, best: number): number {
  if (open <= best + ALIKE) return 0;
  return best === -Infinity ? 100 : ((open - best) / Math.max(1, Math.abs(best))) * 100;
}
