import { backbonesOf, type Backbone } from "./backbones";
import { boxSets } from "./box-sets";
import { ALIKE, assign, bestSettled, climb, Worth, type Climb, type Known } from "./climb";
import { effortPoints } from "./effort";
import { groundsOf, newMeasure, sharpened, type Ground, type Measure } from "./grounds";
import { backboneEffort, type WiringPlan } from "./make-plan";
import { plugsOf } from "./plugs";
import { schoolsOn, SCHOOLS, type School } from "./schools";
import { switchesOf } from "./settle";
import type { WiringSpace } from "./space";
import { allowedIn, startsOf, type Tables } from "./starts";
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
  /** Only what wins is wanted: the other schools are not looked through for their own best. */
  readonly onlyBest?: boolean;
}

/** A backbone that is still to be looked at. */
interface Waiting {
  readonly backbone: Backbone;
  readonly tables: Tables;
  readonly schools: readonly School[];
  /** Its points without any ground and any player: what it costs. */
  readonly before: number;
  /** At most so much its players bring. */
  readonly players: number;
  /** No plan on it can have more points. */
  readonly bound: number;
}

/**
 * Finds the best plan of every school for the given weights. A backbone is bounded by what its sockets reach at all; each set of hub
 * settings on it by an assignment of players to sockets, of which only what could win is worked out; the assignment is played through
 * the full engine, and other assignments are looked at only while their bound could beat the best of their school.
 */
export function searchPlans(space: WiringSpace, weights: Weights, options: PlanOptions = {}): PlanSearch {
  const { clock, mostMs = Infinity, onBetter, onPlayed, onlyBest = false } = options;
  const measure = newMeasure(space, weights);
  const best = new Map<School, WiringPlan>();
  const wanted = schoolsWanted(space);
  const begun = clock?.() ?? 0;
  const isLate = () => clock !== undefined && clock() - begun > mostMs;
  const looked = { backbones: 0, rooms: 0 };
  /** Looks at a backbone for whatever could beat the standing; returns the bound of what there was no time for. */
  const look = (waiting: Waiting, standing: (school: School) => number): number => {
    const { backbone, schools, tables, bound, players } = waiting;
    const isHopeless = (points: number) => schools.every((school) => points <= standing(school) + ALIKE);
    if (isHopeless(bound)) return -Infinity;
    if (isLate()) return bound;
    looked.backbones += 1;
    let open = -Infinity;
    const known = new Map<string, Known>();
    for (const { ground, base } of groundsByPoints(measure, waiting)) {
      if (isLate()) return Math.max(open, bound);
      if (isHopeless(base + players)) continue;
      const worth = new Worth(measure, ground, knownWith(known, ground));
      for (const school of schools) {
        // Of most grounds it is seen before anybody is bound to a box that they cannot win.
        const floor = standing(school) + ALIKE - base;
        if (!bestSettled(allowedIn(space, backbone, school, tables), worth, floor)) continue;
        for (const start of startsOf(space, backbone, school, tables)) {
          if (isLate()) return Math.max(open, bound);
          const at: Climb = { measure, ground, worth, school, base, best, standing, looked, isLate, onBetter, onPlayed };
          open = Math.max(open, climb(at, start));
        }
      }
    }
    return open;
  };
  const ofAll = () => Math.max(-Infinity, ...[...best.values()].map(({ points }) => points));
  let open = -Infinity;
  const pending: Waiting[] = [];
  const sets = boxSets(space);
  // Without a box there is little to look at, and the first plan is there at once.
  for (const { some, by } of [
    { some: sets.filter((set) => set.length === 0), by: measure },
    { some: sets.filter((set) => set.length > 0), by: sharpened(measure) },
  ]) {
    const waiting = [...backbonesOf(space, some)].flatMap((backbone) => {
      const schools = schoolsOn(space, backbone).filter((school) => wanted.includes(school));
      return schools.length ? [waitingOf(by, backbone, schools)] : [];
    });
    // What could bring most is looked at first: the others are soon seen not to be worth their price.
    waiting.sort((a, b) => b.bound - a.bound);
    for (const one of waiting) open = Math.max(open, look(one, ofAll));
    pending.push(...waiting);
  }
  const gap = gapOf(open, ofAll());
  const provenAfter = clock ? clock() - begun : null;
  // What wins is known; now the best of every other school, for comparison.
  let missed = onlyBest ? Infinity : -Infinity;
  for (const waiting of onlyBest ? [] : pending)
    missed = Math.max(
      missed,
      look(waiting, (school) => best.get(school)?.points ?? -Infinity),
    );
  const all = [...best.values()].toSorted((a, b) => b.points - a.points || SCHOOLS.indexOf(a.school) - SCHOOLS.indexOf(b.school));
  // A way by which nothing at all sounds is none, where another one is heard.
  const plans = all.filter(({ figures }) => figures.sound > 0 || all.every((other) => other.figures.sound === 0));
  return {
    plans,
    impossible: missed === -Infinity ? wanted.filter((school) => !plans.some((plan) => plan.school === school)) : [],
    proven: gap === 0,
    gap,
    schoolsProven: missed === -Infinity,
    looked,
    provenAfter,
  };
}

/** A backbone with its plugs and the bound that their reach gives. */
function waitingOf(measure: Measure, backbone: Backbone, schools: readonly School[]): Waiting {
  const { space, weights } = measure;
  const { tables, ownMost } = plugsOf(measure, backbone);
  const players = assign(tables, ({ most }) => most)?.worth ?? -Infinity;
  const before = easeWithoutPlayers(measure) - effortPoints(backboneEffort(space, backbone), weights);
  return { backbone, tables, schools, players, before, bound: before + ownMost + players };
}

/** Where no player is planned nobody wakes, and the acts are not bounded by any. */
const easeWithoutPlayers = ({ space, weights }: Measure): number => (space.players.length === 0 ? weights.ease : 0);

/** The grounds of a backbone with their points before any player, the best first. */
const groundsByPoints = (measure: Measure, { backbone, before }: Waiting) =>
  [...groundsOf(measure, backbone)].map((ground) => ({ ground, base: ground.points + before })).toSorted((a, b) => b.base - a.base);

/** What is known of plugs on grounds whose control switches stand alike. */
function knownWith(known: Map<string, Known>, ground: Ground): Known {
  const switches = switchesOf(ground);
  const found = known.get(switches) ?? new Map();
  known.set(switches, found);
  return found;
}

/** How much more points what was not looked at could have, in per cent; all of it where no plan is found yet. */
function gapOf(open: number, best: number): number {
  if (open <= best + ALIKE) return 0;
  return best === -Infinity ? 100 : ((open - best) / Math.max(1, Math.abs(best))) * 100;
}

function schoolsWanted({ bonds }: WiringSpace): readonly School[] {
  const used = bonds.flatMap((bond) => (bond.bond === "use-school" ? [bond.school] : []));
  const forbidden = bonds.flatMap((bond) => (bond.bond === "forbid-school" ? [bond.school] : []));
  return SCHOOLS.filter((school) => (used.length === 0 || used.includes(school)) && !forbidden.includes(school));
}
