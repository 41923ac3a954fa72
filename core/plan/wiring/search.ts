import { bestAssignment } from "./assignment";
import { backbonesOf, type Backbone } from "./backbones";
import { contentShare, effortPoints } from "./figures";
import { backboneEffort, planOf, type WiringPlan } from "./make-plan";
import { groundsOf, optionsOf, type Ground, type Measure, type PlayerOption } from "./options";
import { RowMemo } from "./row-memo";
import { schoolsOn, SCHOOLS, type School } from "./schools";
import type { WiringSpace } from "./space";
import { startsOf, type Tables } from "./starts";
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
}

/** Two plans within this many points are equally good. */
const ALIKE = 1e-6;

/**
 * Finds the best plan of every school for the given weights. Each backbone with each set of hub settings is bounded by an assignment of
 * players to sockets; the assignment is played through the full engine, and other assignments are looked at only while their bound
 * could beat the best of their school. What a backbone could never bring is not looked at.
 */
export function searchPlans(space: WiringSpace, weights: Weights, { clock, mostMs = Infinity, onBetter }: PlanOptions = {}): PlanSearch {
  const measure: Measure = { space, weights, memo: new RowMemo(), ease: new Map() };
  const best = new Map<School, WiringPlan>();
  const wanted = schoolsWanted(space);
  const begun = clock?.() ?? 0;
  const isLate = () => clock !== undefined && clock() - begun > mostMs;
  const looked = { backbones: 0, rooms: 0 };
  const most = weights.sound + weights.picture + weights.ease;
  const pending: Waiting[] = [];
  /** Looks at a backbone for whatever could beat the standing; returns the bound of what there was no time for. */
  const look = ({ backbone, schools, bound }: Waiting, standing: (school: School) => number): number => {
    const isHopeless = (points: number) => schools.every((school) => points <= standing(school) + ALIKE);
    if (isHopeless(bound)) return -Infinity;
    if (isLate()) return bound;
    looked.backbones += 1;
    let open = -Infinity;
    const effort = effortPoints(backboneEffort(space, backbone), weights);
    const ease = space.players.length === 0 ? weights.ease : 0;
    for (const ground of groundsOf(measure, backbone)) {
      if (isLate()) return Math.max(open, bound);
      if (isHopeless(ground.points - effort + mostOfPlayers(measure))) continue;
      const tables = space.players.map((player) => optionsOf(measure, ground, player));
      for (const school of schools)
        for (const start of startsOf(space, backbone, school, tables)) {
          if (isLate()) return Math.max(open, bound);
          const at: Climb = { measure, ground, school, base: ground.points + ease - effort, best, standing, looked, isLate, onBetter };
          open = Math.max(open, climb(at, start));
        }
    }
    return open;
  };
  const ofAll = () => Math.max(-Infinity, ...[...best.values()].map(({ points }) => points));
  let open = -Infinity;
  for (const backbone of backbonesOf(space)) {
    const schools = schoolsOn(space, backbone).filter((school) => wanted.includes(school));
    if (schools.length === 0) continue;
    const waiting = { backbone, schools, bound: most - effortPoints(backboneEffort(space, backbone), weights) };
    pending.push(waiting);
    // Without a box there is little to look at, and the first plan is there at once.
    if (backbone.boxes.length === 0) open = Math.max(open, look(waiting, ofAll));
  }
  // Then what costs least first: dear backbones are soon seen not to be worth their price.
  pending.sort((a, b) => b.bound - a.bound);
  for (const waiting of pending) if (waiting.backbone.boxes.length) open = Math.max(open, look(waiting, ofAll));
  const gap = gapOf(open, ofAll());
  const provenAfter = clock ? clock() - begun : null;
  // What wins is known; now the best of every other school, for comparison.
  let missed = -Infinity;
  for (const waiting of pending)
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

/** How much more points what was not looked at could have, in per cent; all of it where no plan is found yet. */
function gapOf(open: number, best: number): number {
  if (open <= best + ALIKE) return 0;
  return best === -Infinity ? 100 : ((open - best) / Math.max(1, Math.abs(best))) * 100;
}

interface Waiting {
  readonly backbone: Backbone;
  readonly schools: readonly School[];
  /** No plan on it can have more points. */
  readonly bound: number;
}

/** No players can bring more than this. */
function mostOfPlayers({ space, weights }: Measure): number {
  const contents = space.players.reduce(
    (sum, { sources }) => sum + sources.reduce((count, source) => count + source.contents.length, 0),
    0,
  );
  return contents * contentShare(space.job) * (weights.sound + weights.picture) + weights.ease;
}

function schoolsWanted({ bonds }: WiringSpace): readonly School[] {
  const used = bonds.flatMap((bond) => (bond.bond === "use-school" ? [bond.school] : []));
  const forbidden = bonds.flatMap((bond) => (bond.bond === "forbid-school" ? [bond.school] : []));
  return SCHOOLS.filter((school) => (used.length === 0 || used.includes(school)) && !forbidden.includes(school));
}

interface Climb {
  readonly measure: Measure;
  readonly ground: Ground;
  readonly school: School;
  readonly base: number;
  readonly best: Map<School, WiringPlan>;
  /** What a plan of a school has to beat. */
  readonly standing: (school: School) => number;
  readonly looked: { rooms: number };
  readonly isLate: () => boolean;
  readonly onBetter: PlanOptions["onBetter"];
}

/**
 * Looks at assignments from the best bound down, dividing what is left after each as Murty does. Returns the bound of what was not
 * looked at, for want of time; -Infinity where nothing was left. Source: K. G. Murty, Operations Research 16 (1968) 682–687.
 */
function climb(at: Climb, start: Tables): number {
  const { base, best, school, standing } = at;
  const heap: { readonly tables: Tables; readonly chosen: readonly PlayerOption[]; readonly bound: number }[] = [];
  const push = (tables: Tables) => {
    const found = assign(tables);
    if (found) heap.push({ tables, chosen: found.chosen, bound: base + found.worth });
  };
  push(start);
  for (;;) {
    heap.sort((a, b) => a.bound - b.bound);
    const node = heap.pop();
    if (!node || node.bound <= standing(school) + ALIKE) return -Infinity;
    if (at.isLate()) return node.bound;
    const plan = planOf(at.measure, at.ground, school, node.chosen);
    at.looked.rooms += 1;
    if (plan && plan.points > (best.get(school)?.points ?? -Infinity) + ALIKE) {
      const isTop = [...best.values()].every(({ points }) => plan.points > points);
      best.set(school, plan);
      if (isTop) at.onBetter?.(plan);
    }
    if (plan && plan.points >= node.bound - ALIKE) return -Infinity;
    node.chosen.forEach((option, index) => {
      const tables = node.tables.map((options, player) =>
        player < index ? [node.chosen[player] ?? option] : player === index ? options.filter((other) => other !== option) : options,
      );
      if (tables.every((options) => options.length > 0)) push(tables);
    });
  }
}

/** The best assignment of players to sockets by their options; null where one of them has none left. */
export function assign(tables: Tables): { readonly chosen: readonly PlayerOption[]; readonly worth: number } | null {
  if (tables.some((options) => options.length === 0)) return null;
  const kinds = new Map<string, number>();
  for (const { kind } of tables.flat()) if (kind) kinds.set(kindKey(kind), kind.ports.length);
  const columns = [...kinds].flatMap(([key, count]) => Array.from({ length: Math.min(count, tables.length) }, () => key));
  const bestIn = tables.map((options) => {
    const found = new Map<string, PlayerOption>();
    for (const option of options) {
      const key = option.kind ? kindKey(option.kind) : "";
      const known = found.get(key);
      if (!known || option.points > known.points) found.set(key, option);
    }
    return found;
  });
  // Behind the sockets a place without one for each player.
  const worth = bestIn.map((found, player) => [
    ...columns.map((key) => found.get(key)?.points ?? -Infinity),
    ...tables.map((_, index) => (index === player ? (found.get("")?.points ?? -Infinity) : -Infinity)),
  ]);
  const result = bestAssignment(worth);
  if (!result) return null;
  const chosen = result.places.flatMap((place, player) => bestIn[player]?.get(columns[place] ?? "") ?? []);
  return chosen.length === tables.length ? { chosen, worth: result.worth } : null;
}

const kindKey = ({ device, ports }: { readonly device: string; readonly ports: readonly string[] }): string =>
  `${device} ${ports.join(" ")}`;
