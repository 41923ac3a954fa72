import { solve, type Solved } from "@/core/chain";
import type { Device } from "@/core/device";
import type { Job } from "@/core/job";
import type { Backbone } from "./backbones";
import { jobWith } from "./room-of";
import { addEffort, boxEffort, effortPoints, menuEffort, NO_EFFORT, takeOutEffort, wireEffort, type Effort } from "./effort";
import { giveOut, suppliedBy, withOwnIds } from "./give-out";
import { commonActs, figuresOf, leadsAreUsed, remotesNeeded, type PlanFigures } from "./figures";
import { menusOf, withSettings, type SettingChoice } from "./hub-settings";
import type { Ground, Measure } from "./grounds";
import { bearsRemotes, hopePoints, remotePoints } from "./musts";
import { rowsOfEach } from "./rows-of-each";
import type { PlayerOption } from "./settle";
import type { School } from "./schools";
import type { BoxAtHand, WiringSpace } from "./space";
import { UNPLUGGED_POINTS } from "./weights";
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
  [...boxes.map(boxEffort), ...wires.map((wire) => wireEffort(space, wire))].reduce(addEffort, takeOutEffort(space));

/**
 * The plan of a ground with an option for each player: sockets are given out, and all of it goes through the full engine. Null where a
 * lead would carry nothing, or where a stick would cover a socket that somebody needs.
 */
export const planOf = (measure: Measure, ground: Ground, school: School, chosen: readonly PlayerOption[]): WiringPlan | null =>
  planBy(measure, ground, school, chosen, (job) => solve(job, "planned"));

/**
 * The same as far as it can be foreseen from what arrives of each player alone, which is known already: no other player adds to that, so
 * the plan itself is never better.
 */
export const foreseenPlan = (measure: Measure, ground: Ground, school: School, chosen: readonly PlayerOption[]): WiringPlan | null =>
  planBy(measure, ground, school, chosen, (job) => ({ job, state: "planned", units: [], rows: rowsOfEach(measure, ground, chosen) }));

function planBy(
  { space, weights }: Measure,
  ground: Ground,
  school: School,
  chosen: readonly PlayerOption[],
  boardOf: (job: Job) => Solved,
): WiringPlan | null {
  const { backbone } = ground;
  const settings = [...ground.settings, ...chosen.flatMap((option) => option.settings)];
  const players = space.players.map((player) => withSettings(player, settings));
  const others = [...players, ...unusedBoxes(space, backbone)];
  const given = giveOut(space, backbone.wires, chosen, (wires) => jobWith(space, ground.hubs, wires, others));
  if (!given) return null;
  const wires = suppliedBy(space, withOwnIds(space, given));
  const job = jobWith(space, ground.hubs, wires, others);
  const set = [...backbone.hubs, ...space.players];
  const effort = [
    backboneEffort(space, backbone),
    menuEffort(set, settings),
    ...chosen.map(({ wire }) => (wire ? wireEffort(space, wire) : NO_EFFORT)),
  ].reduce(addEffort);
  const solved = boardOf(job);
  if (!leadsAreUsed(solved.rows, wires)) return null;
  const figures = figuresOf(space, solved, effort, { menus: menusOf(set, settings), toBuy: toBuy(backbone.boxes, wires) });
  const remotes = remotesNeeded(figures.acts, commonActs(space));
  if (!bearsRemotes(space, remotes)) return null;
  const hoped = job.devices.map(({ id }) =>
    hopePoints(
      space,
      id,
      solved.rows.filter(({ player }) => player === id),
    ),
  );
  const hopes = hoped.reduce((sum, one) => sum + one, remotePoints(space, remotes));
  const points =
    hopes +
    figures.sound * weights.sound +
    figures.picture * weights.picture +
    figures.ease * weights.ease -
    figures.unplugged * UNPLUGGED_POINTS -
    effortPoints(effort, weights);
  const places = new Map(space.players.map((player, index) => [player.id, chosen[index]?.kind?.device ?? null]));
  return { school, points, figures, boxes: backbone.boxes, wires, settings, places, job };
}

/** New parts that the van has not. */
const toBuy = (boxes: readonly BoxAtHand[], wires: readonly Wire[]): number =>
  boxes.filter(({ device, isThere }) => !isThere && device.supply === "buy").length +
  wires.filter(({ cable, lying }) => !lying && cable.supply === "buy" && cable.class !== "direct-plug").length;

/** Boxes of the room that a plan has no use for stay where they are, with nothing in them. */
const unusedBoxes = ({ boxes }: WiringSpace, backbone: Backbone): readonly Device[] =>
  boxes.filter((box) => box.isThere && !backbone.boxes.includes(box)).map(({ device }) => device);
