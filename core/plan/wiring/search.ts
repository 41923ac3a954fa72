import { planAtOnce } from "./at-once";
import { backbonesOf } from "./backbones";
import { boxSets } from "./box-sets";
import { ByBound } from "./by-bound";
import { newMeasure, sharpened, type Ground, type Measure } from "./grounds";
import { remoteLimits, type RemoteLimit } from "./musts";
import { draftOf, type WiringPlan } from "./make-plan";
import { ALIKE, divided, nodesFrom, Worth, type Known, type Node } from "./nodes";
import { schoolsOn, SCHOOLS, type School } from "./schools";
import type { WiringSpace } from "./space";
import { allowedIn, needsOf } from "./starts";
import { standsAlike, switchesOf, type Switch } from "./switches";
import { groundsByPoints, hasSound, lookedInto, waitingOf, type Waiting } from "./waiting";
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
  const { clock, mostMs = Infinity, onlyBest = false } = options;
  const measure = newMeasure(space, weights);
  const begun = clock?.() ?? 0;
  const best = new Map<School, WiringPlan>();
  const run: Run = {
    measure,
    options,
    heardOnly: true,
    best,
    looked: { backbones: 0, rooms: 0 },
    isOver: () => (options.anyPlan === true && best.size > 0) || (clock !== undefined && clock() - begun > mostMs),
  };
  const wanted = schoolsWanted(space);
  const waitingOn = (by: Measure, sets: ReturnType<typeof boxSets>): readonly Waiting[] =>
    [...backbonesOf(space, sets)]
      .flatMap((backbone) => {
        const schools = schoolsOn(space, backbone).filter((school) => wanted.includes(school));
        return schools.length ? [waitingOf(by, backbone, schools)] : [];
      })
      .toSorted((a, b) => b.bound - a.bound);
  const ofAll = () => Math.max(-Infinity, ...[...run.best.values()].map(({ points }) => points));
  const sets = boxSets(space);
  // Without a box there is little to look at, and the first plan is there at once.
  const bare = waitingOn(
    measure,
    sets.filter((set) => set.length === 0),
  );
  const [simplest] = bare.filter(hasSound);
  if (simplest && !run.isOver()) keep(run, planAtOnce(measure, simplest));
  const first = explore(run, bare.filter(hasSound), ofAll);
  const boxed = waitingOn(
    sharpened(measure),
    sets.filter((set) => set.length > 0),
  );
  const second = explore(run, boxed.filter(hasSound), ofAll);
  // A way by which nothing at all sounds is none, where another one is heard.
  const isSilent = run.best.size === 0;
  const pending = [...bare, ...boxed].filter((waiting) => isSilent || waiting.sounds);
  const all = isSilent ? { ...run, heardOnly: false } : run;
  const silent = isSilent ? explore(all, pending, ofAll) : -Infinity;
  const gap = gapOf(Math.max(first, second, silent), ofAll());
  const provenAfter = clock ? clock() - begun : null;
  // What wins is known; now the best of every other school, for comparison.
  const missed = onlyBest ? Infinity : explore(all, pending, (school) => run.best.get(school)?.points ?? -Infinity);
  const plans = [...run.best.values()].toSorted((a, b) => b.points - a.points || SCHOOLS.indexOf(a.school) - SCHOOLS.indexOf(b.school));
  return {
    plans,
    impossible: missed === -Infinity ? wanted.filter((school) => !plans.some((plan) => plan.school === school)) : [],
    proven: gap === 0,
    gap,
    schoolsProven: missed === -Infinity,
    looked: run.looked,
    provenAfter,
  };
}

/** A search under way. */
interface Run {
  readonly measure: Measure;
  readonly options: PlanOptions;
  /** Rooms in which nothing comes from the sound system are no plans. */
  readonly heardOnly: boolean;
  readonly best: Map<School, WiringPlan>;
  readonly looked: { backbones: number; rooms: number };
  /** The time is over, or what was wanted is found. */
  readonly isOver: () => boolean;
}

/**
 * Looks at backbones and at what is left of their assignments, always at whatever could bring most, until nothing could beat what stands.
 * Returns the bound of what was not looked at, for want of time; -Infinity where nothing was left.
 * @param standing what a plan of a school has to beat
 */
function explore(run: Run, pending: readonly Waiting[], standing: (school: School) => number): number {
  const nodes = new ByBound<Node>();
  const open = new ByBound(pending);
  const isHopeless = (bound: number, schools: readonly School[]) => schools.every((school) => bound <= standing(school) + ALIKE);
  for (;;) {
    const waiting = open.best;
    const node = nodes.best;
    if (!waiting && !node) return -Infinity;
    const bound = Math.max(waiting?.bound ?? -Infinity, node?.bound ?? -Infinity);
    if (isHopeless(bound, SCHOOLS)) return -Infinity;
    if (run.isOver()) return bound;
    if (waiting && waiting.bound >= (node?.bound ?? -Infinity)) {
      open.take();
      if (isHopeless(waiting.bound, waiting.schools)) continue;
      if (!waiting.isLookedInto) {
        const looked = lookedInto(run.measure, waiting, Math.min(...waiting.schools.map(standing)));
        if (!isHopeless(looked.bound, looked.schools)) open.add(looked);
        continue;
      }
      const found = nodesOn(run, waiting, standing);
      if (found === null) return bound;
      const [top, ...rest] = found.toSorted((a, b) => b.bound - a.bound);
      // The best of it is played at once, so that there is something to beat.
      for (const left of top ? [...rest, ...played(run, top, standing)] : rest) nodes.add(left);
    } else if (node) {
      nodes.take();
      if (!isHopeless(node.bound, [node.school])) for (const left of played(run, node, standing)) nodes.add(left);
    }
  }
}

/** The best assignment on every ground of a backbone, for each school that could win there; null where the time was over. */
function nodesOn(run: Run, waiting: Waiting, standing: (school: School) => number): readonly Node[] | null {
  const { measure, looked, isOver } = run;
  const { backbone, schools, tables, players } = waiting;
  const open = schools.flatMap((school) => {
    const needs = needsOf(measure.space, backbone, school, tables);
    return needs ? [{ school, needs, allowed: allowedIn(measure.space, backbone, school, tables) }] : [];
  });
  looked.backbones += 1;
  const limits = remoteLimits(measure.space);
  const known = new Map<string, Known>();
  const lost: Lost[] = [];
  const found: Node[] = [];
  for (const { ground, base } of groundsByPoints(measure, waiting)) {
    if (isOver()) return null;
    for (const remotes of limits) {
      const worth = new Worth(measure, ground, knownWith(known, ground), waiting.caps, remotes.most);
      for (const { school, needs, allowed } of open) {
        const floor = standing(school) + ALIKE;
        const place = { ground, worth, school, needs, base: base - remotes.lost };
        if (place.base + players <= floor) continue;
        if (lost.some((other) => isLostAlike(other, place, remotes))) continue;
        const nodes = nodesFrom(place, allowed, floor);
        if (nodes.length === 0) lost.push({ school, base: place.base, remotes, control: switchesOf(ground), switches: worth.switches });
        // The very first is played at once: a plan to show, and something to beat.
        for (const node of nodes) found.push(...(run.best.size === 0 ? played(run, node, standing) : [node]));
      }
    }
  }
  return found;
}

/** A ground on which players could not win in a school, and the switches by which that was seen. */
interface Lost {
  readonly school: School;
  readonly base: number;
  readonly remotes: RemoteLimit;
  readonly control: string;
  readonly switches: readonly Switch[];
}

/** Whether players cannot win on a ground for the same reasons as on another one, which had no fewer points before them. */
const isLostAlike = (lost: Lost, { school, ground, base }: Pick<Node, "school" | "ground" | "base">, remotes: RemoteLimit): boolean =>
  lost.school === school &&
  lost.remotes === remotes &&
  base <= lost.base &&
  lost.control === switchesOf(ground) &&
  standsAlike(ground.hubs, lost.switches);

/** Plays a node through the full engine, where it can be foreseen that it is the best of its school so far, and gives what is left beside it. */
function played(run: Run, node: Node, standing: (school: School) => number): readonly Node[] {
  const { school, ground, found } = node;
  const left = () => divided(node, standing(school) + ALIKE);
  const draft = draftOf(run.measure, ground, school, found.chosen);
  const foreseen = draft?.foreseen();
  if (!draft || !foreseen || foreseen.points <= (run.best.get(school)?.points ?? -Infinity) + ALIKE) return left();
  const room = draft.plan();
  const plan = room && (room.figures.sound > 0 || !run.heardOnly) ? room : null;
  keep(run, plan);
  return plan && plan.points >= node.bound - ALIKE ? [] : left();
}

/** Keeps a room that was played, where it is a plan and the best of its school so far. */
function keep({ options, best, looked }: Run, plan: WiringPlan | null): void {
  looked.rooms += 1;
  if (!plan) return;
  options.onPlayed?.(plan);
  if (plan.points <= (best.get(plan.school)?.points ?? -Infinity) + ALIKE) return;
  const isTop = [...best.values()].every(({ points }) => plan.points > points);
  best.set(plan.school, plan);
  if (isTop) options.onBetter?.(plan);
}

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

export function schoolsWanted({ bonds }: WiringSpace): readonly School[] {
  const used = bonds.flatMap((bond) => (bond.bond === "use-school" ? [bond.school] : []));
  const forbidden = bonds.flatMap((bond) => (bond.bond === "forbid-school" ? [bond.school] : []));
  return SCHOOLS.filter((school) => (used.length === 0 || used.includes(school)) && !forbidden.includes(school));
}
