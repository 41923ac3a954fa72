import { solve } from "@/core/chain";
import type { Device } from "@/core/device";
import { freeId, type Cable } from "@/core/job";
import { bestAssignment } from "./assignment";
import { backbonesOf, jobWith, type Backbone } from "./backbones";
import { pinnedPort } from "./bonds";
import {
  addEffort,
  boxEffort,
  contentShare,
  effortPoints,
  figuresOf,
  leadsAreUsed,
  NO_EFFORT,
  takeOutEffort,
  wireEffort,
  menuEffort,
  type Effort,
  type PlanFigures,
} from "./figures";
import { menusOf, withSettings, type SettingChoice } from "./hub-settings";
import { groundsOf, optionsOf, type Ground, type Measure, type PlayerOption } from "./options";
import { RowMemo } from "./row-memo";
import { inputKinds } from "./sockets";
import { allowsHub, hubOf, isGatherer, schoolsOn, SCHOOLS, type School } from "./schools";
import type { BoxAtHand, WiringSpace } from "./space";
import type { Weights } from "./weights";
import type { Wire } from "./wires";

/** A room wired in one way, with its figures from the full engine. */
export interface WiringPlan {
  readonly school: School;
  readonly points: number;
  readonly figures: PlanFigures;
  readonly boxes: readonly BoxAtHand[];
  readonly wires: readonly Wire[];
  readonly settings: readonly SettingChoice[];
  /** The device that each player sits in; null: it has no socket. */
  readonly places: ReadonlyMap<string, string | null>;
  readonly job: WiringSpace["job"];
}

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
      if (isHopeless(ground.points - effort + mostOfPlayers(measure))) continue;
      const tables = space.players.map((player) => optionsOf(measure, ground, player));
      for (const school of schools)
        for (const start of startsOf(space, backbone, school, tables)) {
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
  const gap = open > ofAll() + ALIKE ? ((open - ofAll()) / Math.max(1, Math.abs(ofAll()))) * 100 : 0;
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

const backboneEffort = (space: WiringSpace, { boxes, wires }: Backbone): Effort =>
  [...boxes.map(boxEffort), ...wires.map((wire) => wireEffort(space.job, wire))].reduce(addEffort, takeOutEffort(space));

type Tables = readonly (readonly PlayerOption[])[];

/** The tables of options that a school leaves: somebody sits in what it is named after, and in every box that is there for players. */
function startsOf(space: WiringSpace, backbone: Backbone, school: School, tables: Tables): readonly Tables[] {
  const hub = ({ kind }: PlayerOption) => (kind ? hubOf(backbone, kind.device) : null);
  const allowed = tables.map((options) =>
    options.filter((option) => {
      const at = hub(option);
      return at === null || allowsHub(space, school, at);
    }),
  );
  const used = backbone.boxes.reduce<readonly Tables[]>(
    (all, { device }) => all.flatMap((tables) => sitIn(tables, device.id, playersNeeded(backbone, device))),
    [allowed],
  );
  const inSystem = (option: PlayerOption) => hub(option) === space.system.id;
  const inScreen = (option: PlayerOption) => hub(option) !== null && hub(option) !== space.system.id;
  const wished = {
    "screen-hub": [inScreen],
    "sound-hub": [inSystem],
    mixed: [inSystem, inScreen],
    split: [],
    "side-cable": [],
    adapter: [],
  }[school];
  if (tables.length === 0) return used;
  return wished.reduce<readonly Tables[]>((all, there) => all.flatMap((one) => eachForced(one, there)), used);
}

/** How many players must sit in a box before it does anything: one where no wire leads in, and one that gathers sockets gathers two. */
export function playersNeeded({ wires }: Pick<Backbone, "wires">, box: Device): number {
  if (inputKinds(box, []).length === 0) return 0;
  const wired = wires.filter(({ cable }) => cable.to.device === box.id).length;
  return Math.max(0, (isGatherer(box) ? 2 : 1) - wired);
}

/** The tables once for each choice of so many players, who then sit in a device. */
function sitIn(tables: Tables, device: string, count: number, from = 0): readonly Tables[] {
  if (count === 0) return [tables];
  return tables.flatMap((options, index) => {
    if (index < from) return [];
    const there = options.filter(({ kind }) => kind?.device === device);
    return there.length ? sitIn(tables.with(index, there), device, count - 1, index + 1) : [];
  });
}

/** The tables once for each player, with only those of its options that are wished; players that have none are left out. */
const eachForced = (tables: Tables, wished: (option: PlayerOption) => boolean): readonly Tables[] =>
  tables.flatMap((options, forced) =>
    options.some(wished) ? [tables.map((other, index) => (index === forced ? other.filter(wished) : other))] : [],
  );

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
    if (at.isLate() && best.size > 0) return node.bound;
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

/** The best assignment of players to sockets by their options. */
function assign(tables: Tables): { readonly chosen: readonly PlayerOption[]; readonly worth: number } | null {
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

/**
 * The plan of a ground with an option for each player: sockets are given out, and all of it goes through the full engine. Null where a
 * lead would carry nothing.
 */
function planOf({ space, weights }: Measure, ground: Ground, school: School, chosen: readonly PlayerOption[]): WiringPlan | null {
  const { backbone } = ground;
  const settings = [...ground.settings, ...chosen.flatMap((option) => option.settings)];
  const wires = [...backbone.wires, ...plugged(space, chosen)];
  const players = space.players.map((player) => withSettings(player, settings));
  const job = jobWith(space, ground.hubs, withOwnIds(space, wires), [...players, ...unusedBoxes(space, backbone)]);
  const menus = menuEffort([...backbone.hubs, ...space.players], settings);
  const effort = [
    backboneEffort(space, backbone),
    menus,
    ...chosen.map(({ wire }) => (wire ? wireEffort(space.job, wire) : NO_EFFORT)),
  ].reduce(addEffort);
  const count = [...backbone.hubs, ...space.players].reduce((sum, device) => sum + menusOf(device, settings), 0);
  const solved = solve(job, "planned");
  if (!leadsAreUsed(solved.rows, wires)) return null;
  const figures = figuresOf(space, solved, effort, count);
  const points =
    figures.sound * weights.sound + figures.picture * weights.picture + figures.ease * weights.ease - effortPoints(effort, weights);
  const places = new Map(space.players.map((player, index) => [player.id, chosen[index]?.kind?.device ?? null]));
  return { school, points, figures, boxes: backbone.boxes, wires, settings, places, job };
}

/** Boxes of the room that a plan has no use for stay where they are, with nothing in them. */
const unusedBoxes = ({ boxes }: WiringSpace, backbone: Backbone): readonly Device[] =>
  boxes.filter((box) => box.isThere && !backbone.boxes.includes(box)).map(({ device }) => device);

/** Gives out the sockets of each kind: whoever sits in one already keeps it, then who is pinned to one, then the others in their order. */
function plugged(space: WiringSpace, chosen: readonly PlayerOption[]): readonly Wire[] {
  const taken = new Set<string>();
  const claims = chosen.flatMap((option, index) => {
    if (!option.kind || !option.wire) return [];
    const { kind, wire } = option;
    const pinned = pinnedPort(space, space.players[index]?.id ?? "");
    const wish = pinned ?? (wire.lying && kind.ports.includes(wire.lying.to.port) ? wire.lying.to.port : null);
    return [{ index, kind, wire, wish }];
  });
  const wires = new Map<number, Wire>();
  for (const { index, kind, wire, wish } of claims.toSorted((a, b) => Number(b.wish !== null) - Number(a.wish !== null))) {
    const free = kind.ports.filter((port) => !taken.has(`${kind.device} ${port}`));
    const port = wish && free.includes(wish) ? wish : (free[0] ?? wire.cable.to.port);
    taken.add(`${kind.device} ${port}`);
    wires.set(index, { ...wire, cable: { ...wire.cable, to: { ...wire.cable.to, port } } });
  }
  return chosen.flatMap((_, index) => wires.get(index) ?? []);
}

/** Cables that lie keep their ids; new ones get free ones. */
function withOwnIds(space: WiringSpace, wires: readonly Wire[]): readonly Wire[] {
  const taken = new Set(space.job.cables.map(({ id }) => id));
  return wires.map((wire) => {
    if (wire.lying) return wire;
    const id = freeId("cable-1", taken);
    taken.add(id);
    const cable: Cable = { ...wire.cable, id };
    return { ...wire, cable };
  });
}
