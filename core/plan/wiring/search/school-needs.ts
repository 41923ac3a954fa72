import type { Device } from "@/core/device";
import { allowsHub, hubOf, isSwitchBox, type School, type Topology } from "../topology";
import type { Plug } from "./plugs";
import { inputKinds, isLead, NO_SOCKETS, reachOf, socketKey, type WiringSpace } from "../space";

/** The plugs of each player, in the order of the players. */
export type PlugTables = readonly (readonly Plug[])[];

/** The plugs that a school allows; where each player sits is still open. */
export const allowedIn = (space: WiringSpace, topology: Topology, school: School, tables: PlugTables): PlugTables =>
  tables.map((plugs) => plugs.filter(({ kind }) => kind === null || allowsHub(space, school, hubOf(topology, kind.device))));

/** So many players must be plugged in one way, or a plan is not of its school or one of its boxes does nothing. */
export interface Need {
  readonly count: number;
  readonly isMetBy: (plug: Plug) => boolean;
}

/** What a school and the boxes of a topology need of the players: somebody sits in what it is named after, and in every box that is there for players. Null: it cannot be. */
export function needsOf(space: WiringSpace, topology: Topology, school: School, tables: PlugTables): readonly Need[] | null {
  const hub = ({ kind }: Plug) => (kind ? hubOf(topology, kind.device) : null);
  const ofBoxes = topology.boxes.map(({ device }): Need => ({
    count: playersNeeded(topology, device),
    isMetBy: ({ kind }) => kind?.device === device.id,
  }));
  const ofBackbone = [...ofBoxes, ...leadNeeds(space, topology)];
  // Where nobody can be plugged in at all the room itself is what is left.
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

/** A lead that nothing of the hubs themselves could go through needs somebody from whom it leads on; without, it carries nothing and is not laid. */
function leadNeeds(space: WiringSpace, topology: Topology): readonly Need[] {
  const leads = topology.wires.filter(({ cable }) => isLead(cable));
  if (leads.length === 0) return [];
  const reach = reachOf(space, topology);
  const own = [...topology.hubs, ...space.fixedDevices].flatMap(({ id, sources }) =>
    sources.map((source) => reach({ device: id, port: source.id })),
  );
  return leads.flatMap(({ cable }): Need[] => {
    const lead = socketKey(cable.to);
    return own.some(({ leads: taken }) => taken.has(lead)) ? [] : [{ count: 1, isMetBy: (plug) => plug.reach?.leads.has(lead) ?? false }];
  });
}

/** Whether players plugged so are all that is needed. */
export const needsAreMet = (needs: readonly Need[], plugs: readonly Plug[]): boolean =>
  needs.every(({ count, isMetBy }) => plugs.filter(isMetBy).length >= count);

/** The tables of plugs that a school leaves: once for each choice of players that meets what is needed. */
export function startsOf(space: WiringSpace, topology: Topology, school: School, tables: PlugTables): readonly PlugTables[] {
  const needs = needsOf(space, topology, school, tables);
  return needs ? choicesMeeting(needs, allowedIn(space, topology, school, tables)) : [];
}

/** The tables once for each choice of players that are made to meet what is needed. */
export const choicesMeeting = (needs: readonly Need[], tables: PlugTables): readonly PlugTables[] =>
  needs.reduce<readonly PlugTables[]>((all, need) => all.flatMap((one) => forced(one, need)), [tables]);

/** How many players must sit in a box before it does anything: one where no wire leads in, and one that gathers sockets gathers two. */
export function playersNeeded({ wires }: Pick<Topology, "wires">, box: Device): number {
  if (inputKinds(box, NO_SOCKETS).length === 0) return 0;
  const sockets = inputKinds(box, NO_SOCKETS).reduce((sum, { ports }) => sum + ports.length, 0);
  const wired = wires.filter(({ cable }) => cable.to.device === box.id).length;
  return Math.max(0, (isSwitchBox(box) && sockets > 1 ? 2 : 1) - wired);
}

/** The tables once for each choice of so many players who can be plugged as it is needed, and then are; from one player on. */
function forced(tables: PlugTables, need: Need, count = need.count, from = 0): readonly PlugTables[] {
  if (count === 0) return [tables];
  return tables.flatMap((plugs, index) => {
    if (index < from) return [];
    const meeting = plugs.filter(need.isMetBy);
    return meeting.length ? forced(tables.with(index, meeting), need, count - 1, index + 1) : [];
  });
}
