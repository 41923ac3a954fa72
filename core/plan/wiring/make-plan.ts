import { solve } from "@/core/chain";
import type { Device } from "@/core/device";
import { freeId, type Cable } from "@/core/job";
import { jobWith, type Backbone } from "./backbones";
import { pinnedPort } from "./bonds";
import {
  addEffort,
  boxEffort,
  effortPoints,
  figuresOf,
  leadsAreUsed,
  menuEffort,
  NO_EFFORT,
  takeOutEffort,
  wireEffort,
  type Effort,
  type PlanFigures,
} from "./figures";
import { menusOf, withSettings, type SettingChoice } from "./hub-settings";
import type { Ground, Measure, PlayerOption } from "./options";
import type { School } from "./schools";
import type { BoxAtHand, WiringSpace } from "./space";
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

/** What a backbone costs and asks for, before a player is plugged in. */
export const backboneEffort = (space: WiringSpace, { boxes, wires }: Backbone): Effort =>
  [...boxes.map(boxEffort), ...wires.map((wire) => wireEffort(space.job, wire))].reduce(addEffort, takeOutEffort(space));

/**
 * The plan of a ground with an option for each player: sockets are given out, and all of it goes through the full engine. Null where a
 * lead would carry nothing.
 */
export function planOf({ space, weights }: Measure, ground: Ground, school: School, chosen: readonly PlayerOption[]): WiringPlan | null {
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
