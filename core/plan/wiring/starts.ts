import type { Device } from "@/core/device";
import type { Backbone } from "./backbones";
import { isGatherer } from "./gatherer";
import type { Plug } from "./plugs";
import { allowsHub, hubOf, type School } from "./schools";
import { inputKinds, NO_SOCKETS } from "./sockets";
import type { WiringSpace } from "./space";

/** The plugs of each player, in the order of the players. */
export type Tables = readonly (readonly Plug[])[];

/** The plugs that a school allows; where each player sits is still open. */
export const allowedIn = (space: WiringSpace, backbone: Backbone, school: School, tables: Tables): Tables =>
  tables.map((plugs) => plugs.filter(({ kind }) => kind === null || allowsHub(space, school, hubOf(backbone, kind.device))));

/** The tables of plugs that a school leaves: somebody sits in what it is named after, and in every box that is there for players. */
export function startsOf(space: WiringSpace, backbone: Backbone, school: School, tables: Tables): readonly Tables[] {
  const hub = ({ kind }: Plug) => (kind ? hubOf(backbone, kind.device) : null);
  const allowed = allowedIn(space, backbone, school, tables);
  const used = backbone.boxes.reduce<readonly Tables[]>(
    (all, { device }) => all.flatMap((tables) => sitIn(tables, device.id, playersNeeded(backbone, device))),
    [allowed],
  );
  const inSystem = (option: Plug) => hub(option) === space.system.id;
  const inScreen = (option: Plug) => hub(option) !== null && hub(option) !== space.system.id;
  const wished = {
    "screen-hub": [inScreen],
    "sound-hub": [inSystem],
    mixed: [inSystem, inScreen],
    split: [],
    "side-cable": [],
    adapter: [],
    wireless: [],
  }[school];
  // Where nobody can be plugged in at all the room itself is what is left.
  if (tables.every((plugs) => plugs.every(({ kind }) => kind === null))) return school === "sound-hub" || school === "mixed" ? [] : used;
  return wished.reduce<readonly Tables[]>((all, there) => all.flatMap((one) => eachForced(one, there)), used);
}

/** How many players must sit in a box before it does anything: one where no wire leads in, and one that gathers sockets gathers two. */
export function playersNeeded({ wires }: Pick<Backbone, "wires">, box: Device): number {
  if (inputKinds(box, NO_SOCKETS).length === 0) return 0;
  const sockets = inputKinds(box, NO_SOCKETS).reduce((sum, { ports }) => sum + ports.length, 0);
  const wired = wires.filter(({ cable }) => cable.to.device === box.id).length;
  return Math.max(0, (isGatherer(box) && sockets > 1 ? 2 : 1) - wired);
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
const eachForced = (tables: Tables, wished: (option: Plug) => boolean): readonly Tables[] =>
  tables.flatMap((options, forced) =>
    options.some(wished) ? [tables.map((other, index) => (index === forced ? other.filter(wished) : other))] : [],
  );
