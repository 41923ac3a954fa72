import { planAtOnce } from "./at-once";
import { backbonesOf } from "./backbones";
import { boxSets } from "./box-sets";
import { ByBound } from "./by-bound";
import { newMeasure, sharpened, type Measure } from "./grounds";
import type { WiringPlan } from "./make-plan";
import { ALIKE } from "./nodes";
import { schoolsOn, SCHOOLS, type School } from "./schools";
import type { WiringSpace } from "./space";
import { stepOf, take, type Run } from "./steps";
import { hasSound, waitingOf, type Waiting } from "./waiting";
import type { Weights } from "./weights";

/** The best plan of each school, the best of all first, and how sure that is. */
export interface PlanSearch {
  readonly plans: readonly WiringPlan[];
  /** Schools of which no plan exists; told only where all were looked through. */
  readonly impossible: readonly School[];
  /** Nothing beats the first plan. */
  readonly proven: boolean;
  /** What a better plan could still have more, in per cent of the best; 0 where it is proven. */
  readonly gap: number;
  readonly looked: { readonly backbones: number; readonly rooms: number };
  /** Each plan is also the best of its school. */
  readonly schoolsProven: boolean;
  /** Milliseconds until the first plan was proven or given up on; null without a clock. */
  readonly provenAfter: number | null;
}

export interface PlanOptions {
  /** Tells the time in milliseconds; without it nothing is cut off. */
  readonly clock?: () => number;
  readonly mostMs?: number;
  /** Told whenever a better plan is found. */
  readonly onBetter?: (best: WiringPlan) => void;
  /** Told every plan that was played through the full engine, better or not. */
  readonly onPlayed?: (plan: WiringPlan) => void;
  /** Any plan will do: the first ends the search. */
  readonly anyPlan?: boolean;
  /** Only what wins is wanted: the other schools are not looked through for their own best. */
  readonly onlyBest?: boolean;
}

/**
 * Finds the best plan of every school for the given weights. A backbone is bounded by what its sockets reach at all; each set of hub
 * settings on it by an assignment of players to sockets, of which only what could win is worked out; the assignment is played through
 * the full engine, and other assignments are looked at only while their bound could beat the best of their school.
 */
export function searchPlans(space: WiringSpace, weights: Weights, options: PlanOptions = {}): PlanSearch {
  const { clock, mostMs = Infinity, onlyBest = false, anyPlan = false } = options;
  const measure = newMeasure(space, weights);
  const begun = clock?.() ?? 0;
  const found = new Found(options);
  const looked = { backbones: 0, settled: 0 };
  const isOver = () => (anyPlan && found.best.size > 0) || (clock !== undefined && clock() - begun > mostMs);
  /** A search in which a plan has to beat so many points. */
  const run = (standing: Run["standing"], heardOnly = true): Run => ({
    measure,
    best: found.best,
    standing,
    looked,
    // Rooms in which nothing comes from the sound system are no plans, where another one is heard.
    keep: (room) => found.keep(room && (room.figures.heard || !heardOnly) ? room : null),
  });
  const toWin = run(() => found.points);
  const wanted = schoolsWanted(space);
  const waitingOn = (by: Measure, sets: ReturnType<typeof boxSets>): readonly Waiting[] =>
    [...backbonesOf(space, sets)].flatMap((backbone) => {
      const schools = schoolsOn(space, backbone).filter((school) => wanted.includes(school));
      return schools.length ? [waitingOf(by, backbone, schools)] : [];
    });
  // Without a box there is little to look at, and the first plan is there at once.
  const sets = boxSets(space);
  const bare = sets.filter((set) => set.length === 0);
  const [simplest] = waitingOn(measure, bare)
    .filter(hasSound)
    .toSorted((a, b) => b.bound - a.bound);
  if (simplest && !isOver()) toWin.keep(planAtOnce(measure, simplest));
  const waiting = waitingOn(sharpened(measure), sets);
  const heard = explore(toWin, waiting.filter(hasSound), isOver);
  // A way by which nothing at all sounds is none, where another one is heard.
  const isSilent = found.best.size === 0;
  const pending = waiting.filter((one) => isSilent || hasSound(one));
  const silent = isSilent
    ? explore(
        run(() => found.points, false),
        pending,
        isOver,
      )
    : -Infinity;
  const gap = gapOf(Math.max(heard, silent), found.points);
  const provenAfter = clock ? clock() - begun : null;
  // What wins is known; now the best of every other school, for comparison.
  const ofEach = run((school) => found.best.get(school)?.points ?? -Infinity, !isSilent);
  const missed = onlyBest ? Infinity : explore(ofEach, pending, isOver);
  const plans = [...found.best.values()].toSorted((a, b) => b.points - a.points || SCHOOLS.indexOf(a.school) - SCHOOLS.indexOf(b.school));
  return {
    plans,
    impossible: missed === -Infinity ? wanted.filter((school) => !plans.some((plan) => plan.school === school)) : [],
    proven: gap === 0,
    gap,
    schoolsProven: missed === -Infinity,
    looked: { backbones: looked.backbones, rooms: found.rooms },
    provenAfter,
  };
}

/** The best plan of each school so far. */
class Found {
  readonly best = new Map<School, WiringPlan>();
  /** How many rooms were played through the full engine. */
  rooms = 0;

  constructor(private readonly options: PlanOptions) {}

  /** The points of the best of all. */
  get points(): number {
    return Math.max(-Infinity, ...[...this.best.values()].map(({ points }) => points));
  }

  /** Keeps a room that was played, where it is a plan and the best of its school. */
  keep(plan: WiringPlan | null): WiringPlan | null {
    this.rooms += 1;
    if (!plan) return null;
    this.options.onPlayed?.(plan);
    if (plan.points <= (this.best.get(plan.school)?.points ?? -Infinity) + ALIKE) return plan;
    const isTop = plan.points > this.points;
    this.best.set(plan.school, plan);
    if (isTop) this.options.onBetter?.(plan);
    return plan;
  }
}

/**
 * Looks at backbones, at their grounds and at assignments there, always at whatever could bring most, until nothing could beat what
 * stands. Returns the bound of what was not looked at, for want of time; -Infinity where nothing was left.
 */
function explore(run: Run, pending: readonly Waiting[], isOver: () => boolean): number {
  const open = new ByBound(pending.map(stepOf));
  const isHopeless = (bound: number, schools: readonly School[]) => schools.every((school) => bound <= run.standing(school) + ALIKE);
  for (;;) {
    const step = open.best;
    if (!step || isHopeless(step.bound, SCHOOLS)) return -Infinity;
    if (isOver()) return step.bound;
    open.take();
    if (isHopeless(step.bound, step.schools)) continue;
    for (const left of take(run, step, open.best?.bound ?? -Infinity)) open.add(left);
  }
}

/** How much more points what was not looked at could have, in per cent; all of it where no plan is found yet. */
function gapOf(open: number, best: number): number {
  if (open <= best + ALIKE) return 0;
  return best === -Infinity ? 100 : ((open - best) / Math.max(1, Math.abs(best))) * 100;
}

export function schoolsWanted({ bonds }: WiringSpace): readonly School[] {
  const used = bonds.flatMap((bond) => (bond.bond === "use-school" ? [bond.school] : []));
  const forbidden = bonds.flatMap((bond) => (bond.bond === "forbid-school" ? [bond.school] : []));
  return SCHOOLS.filter((school) => (used.length === 0 || used.includes(school)) && !forbidden.includes(school));
}
