import { endKey } from "@/core/job";
import type { Device } from "@/core/device";
import { allowsHub, hubOf, isSwitchBox, type School, type Topology } from "../topology";
import type { Plug, Plugs } from "./plugs";
import { type SocketKind, inputKinds, isLead, NO_SOCKETS, reachOf, type WiringSpace } from "../space";

/** The plugs of each player, in the order of the players. */
export type PlugTables = readonly (readonly Plug[])[];

/** The plugs that a school allows; where each player goes is still open. */
export function allowedIn(space: WiringSpace, topology: Topology, school: School, tables: PlugTables): PlugTables {
  const forbidden = new Set(topology.hubs.filter(({ id }) => !allowsHub(space, school, hubOf(topology, id))).map(({ id }) => id));
  return forbidden.size === 0 ? tables : tables.map((plugs) => plugs.filter(({ kind }) => kind === null || !forbidden.has(kind.device)));
}

/** The plugs that players may be in, with at least so many players in some kinds of sockets. */
export interface Placing {
  readonly tables: PlugTables;
  readonly least: LeastInKind;
}

/** Players in any of these plugs, with none needed anywhere. */
export const anywhere = (tables: PlugTables): Placing => ({ tables, least: NONE_NEEDED });

/** How players may be placed on a topology for plans of one school. */
export interface Variant {
  readonly school: School;
  /** One for each way to meet what the school and the boxes need; at least one. */
  readonly placings: readonly Placing[];
  /** Relaxation: as any of them, and perhaps as none. */
  readonly relaxed: Placing;
}

/** How players may be placed for a school on a topology; null where what the school and the boxes need cannot be met. */
export function variantOf(space: WiringSpace, topology: Topology, school: School, plugs: Plugs): Variant | null {
  const needs = needsOf(space, topology, school, plugs.tables);
  const tables = allowedIn(space, topology, school, plugs.tables);
  const ways = needs ? waysToMeet(needs, plugs.ofEachKind) : [];
  const placings = ways.map((least) => ({ tables, least }));
  const [first] = placings;
  return first ? { school, placings, relaxed: placings.length === 1 ? first : anywhere(tables) } : null;
}

/** A number of players that must be plugged in certain ways, or the plan is not of its school or one of its boxes does nothing. */
export interface Need {
  readonly count: number;
  readonly isMetBy: (plug: Plug) => boolean;
}

/** What a school and the boxes of a topology need: a player in the hub that the school is named after, and in every box that is there for players. Null: impossible. */
function needsOf(space: WiringSpace, topology: Topology, school: School, tables: PlugTables): readonly Need[] | null {
  const hub = ({ kind }: Plug) => (kind ? hubOf(topology, kind.device) : null);
  const ofBoxes = topology.boxes.map(({ device }): Need => ({
    count: playersNeeded(topology, device),
    isMetBy: ({ kind }) => kind?.device === device.id,
  }));
  const ofBackbone = [...ofBoxes, ...leadNeeds(space, topology)];
  // Where no player can be plugged in at all, only the room itself is left.
  if (tables.every((plugs) => plugs.every(({ kind }) => kind === null)))
    return school === "sound-hub" || school === "mixed" ? null : ofBackbone;
  const inSystem: Need = { count: 1, isMetBy: (plug) => hub(plug) === space.system.id };
  const inScreen: Need = { count: 1, isMetBy: (plug) => hub(plug) !== null && hub(plug) !== space.system.id };
  const named = {
    "screen-hub": [inScreen],
    "sound-hub": [inSystem],
    mixed: [inSystem, inScreen],
    split: [],
    "side-cable": [],
    adapter: [],
    wireless: [],
  }[school];
  return [...ofBackbone, ...named];
}

/** A lead that no source of the hubs can use needs a player in front of it; without one it carries nothing and is not run. */
function leadNeeds(space: WiringSpace, topology: Topology): readonly Need[] {
  const leads = topology.wires.filter(({ cable }) => isLead(cable));
  if (leads.length === 0) return [];
  const reach = reachOf(space, topology);
  const own = [...topology.hubs, ...space.fixedDevices].flatMap(({ id, sources }) =>
    sources.flatMap((source) => (source.contents.length ? [reach({ device: id, port: source.id })] : [])),
  );
  return leads.flatMap(({ cable }): Need[] => {
    const lead = endKey(cable.to);
    return own.some(({ leads: taken }) => taken.has(lead)) ? [] : [{ count: 1, isMetBy: (plug) => plug.reach?.leads.has(lead) ?? false }];
  });
}

/** How many players must be in sockets of a kind; none is named where any number will do. */
export type LeastInKind = ReadonlyMap<SocketKind, number>;
const NONE_NEEDED: LeastInKind = new Map();

/**
 * Every way to meet needs by kinds of sockets: how many players have to be in each at least. Which plugs meet a need depends on their kind of
 * socket alone. Empty where no socket meets one.
 * @param plugs one into each kind of socket
 */
function waysToMeet(needs: readonly Need[], plugs: readonly Plug[]): readonly LeastInKind[] {
  const choose = (left: readonly SocketKind[], count: number): readonly (readonly SocketKind[])[] =>
    count === 0 ? [[]] : left.flatMap((kind, index) => choose(left.slice(index), count - 1).map((others) => [kind, ...others]));
  return needs.reduce<readonly LeastInKind[]>(
    (ways, { count, isMetBy }) => {
      if (count === 0) return ways;
      const meeting = plugs.flatMap((plug) => (plug.kind && isMetBy(plug) ? [plug.kind] : []));
      return ways.flatMap((way) => choose(meeting, count).map((chosen) => atLeast(way, chosen)));
    },
    [NONE_NEEDED],
  );
}

/** The same with so many in these kinds, each as often as it is named. One player may meet several needs. */
function atLeast(way: LeastInKind, kinds: readonly SocketKind[]): LeastInKind {
  const merged = new Map(way);
  for (const kind of kinds) merged.set(kind, Math.max(merged.get(kind) ?? 0, kinds.filter((other) => other === kind).length));
  return merged;
}

/** The tables of plugs for a school, once for each choice of players that meets its needs. */
export function startsOf(space: WiringSpace, topology: Topology, school: School, tables: PlugTables): readonly PlugTables[] {
  const needs = needsOf(space, topology, school, tables);
  return needs ? choicesMeeting(needs, allowedIn(space, topology, school, tables)) : [];
}

/** The tables, once for each choice of players that meets the needs. */
export const choicesMeeting = (needs: readonly Need[], tables: PlugTables): readonly PlugTables[] =>
  needs.reduce<readonly PlugTables[]>((all, need) => all.flatMap((one) => forced(one, need)), [tables]);

/** How many players a box needs to do anything: one where no wire leads in, two for a switch. */
export function playersNeeded({ wires }: Pick<Topology, "wires">, box: Device): number {
  if (inputKinds(box, NO_SOCKETS).length === 0) return 0;
  const sockets = inputKinds(box, NO_SOCKETS).reduce((sum, { ports }) => sum + ports.length, 0);
  const wired = wires.filter(({ cable }) => cable.to.device === box.id).length;
  return Math.max(0, (isSwitchBox(box) && sockets > 1 ? 2 : 1) - wired);
}

/** The tables once for each choice of that many players, restricted to plugs that meet the need; from one player on. */
function forced(tables: PlugTables, need: Need, count = need.count, from = 0): readonly PlugTables[] {
  if (count === 0) return [tables];
  return tables.flatMap((plugs, index) => {
    if (index < from) return [];
    const meeting = plugs.filter(need.isMetBy);
    return meeting.length ? forced(tables.with(index, meeting), need, count - 1, index + 1) : [];
  });
}
