import type { ActFigures } from "@/core/cec";
import { solve, type Arrival, type Solved } from "@/core/chain";
import type { Device } from "@/core/device";
import type { Backbone } from "./backbones";
import { jobWith } from "./room-of";
import { addEffort, boxEffort, menuEffort, NO_EFFORT, takeOutEffort, wireEffort, type Effort } from "./effort";
import { giveOut, suppliedBy, withOwnIds } from "./give-out";
import { atWork, figuresOf, leadsAreUsed, weighedFigures, type PlanFigures, type RoomAtWork, type WeighedFigures } from "./figures";
import { commonFigures } from "./everyday-acts";
import { menusOf, withSettings, type SettingChoice } from "./hub-settings";
import type { Ground, Measure } from "./grounds";
import { fulfilsAll } from "./musts";
import { pointsOf } from "./points";
import { rowsOfEach } from "./rows-of-each";
import { controlKey, type PlayerOption } from "./settle";
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
  [...boxes.map(boxEffort), ...wires.map((wire) => wireEffort(space, wire))].reduce(addEffort, takeOutEffort(space));

/** A plan as far as it can be predicted. */
export interface Foreseen {
  readonly points: number;
  readonly figures: WeighedFigures;
}

/** The plan of a ground with an option for each player: sockets are given out, and all of it goes through the full engine. Null where it is none. */
export const planOf = (measure: Measure, ground: Ground, school: School, chosen: readonly PlayerOption[]): WiringPlan | null =>
  draftOf(measure, ground, school, chosen)?.plan() ?? null;

/** A plan laid out: null where a stick would cover a socket that somebody needs. */
export function draftOf(measure: Measure, ground: Ground, school: School, chosen: readonly PlayerOption[]): Draft | null {
  const { space } = measure;
  const settings = [...ground.settings, ...chosen.flatMap((option) => option.settings)];
  const players = space.players.map((player) => withSettings(player, settings));
  const others = [...players, ...unusedBoxes(space, ground.backbone)];
  const given = giveOut(space, ground.backbone.wires, chosen, (wires) => jobWith(space, ground.hubs, wires, others));
  if (!given) return null;
  // One cable is not in two places.
  const reused = given.flatMap(({ lying }) => lying?.id ?? []);
  if (new Set(reused).size < reused.length) return null;
  const wires = suppliedBy(space, withOwnIds(space, given));
  return new Draft(measure, ground, school, chosen, { settings, wires, job: jobWith(space, ground.hubs, wires, others) });
}

/** A plan whose sockets are given out, before anything is sent through it. */
export class Draft {
  private readonly effort: Effort;
  private alone: RoomAtWork | undefined;

  constructor(
    private readonly measure: Measure,
    private readonly ground: Ground,
    private readonly school: School,
    private readonly chosen: readonly PlayerOption[],
    private readonly laid: Pick<WiringPlan, "settings" | "wires" | "job">,
  ) {
    const { space } = measure;
    this.effort = [
      backboneEffort(space, ground.backbone),
      menuEffort([...ground.backbone.hubs, ...space.players], laid.settings),
      ...chosen.map(({ wire }) => (wire ? wireEffort(space, wire) : NO_EFFORT)),
    ].reduce(addEffort);
  }

  /**
   * How it would turn out by what arrives of each player alone, which is known already: no other player adds to that, so the plan itself
   * is never better. Null where a lead would carry nothing, or where it takes more remotes than there may be.
   */
  foreseen(): Foreseen | null {
    const { measure, ground, chosen, laid } = this;
    const { space } = measure;
    const rows = rowsOfEach(measure, ground, chosen);
    if (!leadsAreUsed(rows, laid.wires) || !fulfilsAll(space, rows)) return null;
    const key = controlKey(laid.job, rows);
    const known = measure.acts.get(key) ?? this.actsBy(key, { job: laid.job, state: "planned", units: [], rows });
    const figures = weighedFigures(space, { job: laid.job, rows }, known, this.effort);
    const points = pointsOf(space, measure.weights, { job: laid.job, rows }, figures);
    return points === null ? null : { points, figures };
  }

  private actsBy(key: string, solved: Solved): readonly ActFigures[] {
    const { space, acts } = this.measure;
    this.alone = atWork(space, solved);
    const figures = commonFigures(space, this.alone.household);
    acts.set(key, figures);
    return figures;
  }

  /** All of it played through the full engine; null as above. */
  plan(): WiringPlan | null {
    const { measure, ground, school, laid, alone } = this;
    const { space } = measure;
    const solved = solve(laid.job, "planned");
    if (!leadsAreUsed(solved.rows, laid.wires) || !fulfilsAll(space, solved.rows)) return null;
    // Where sound comes the same ways, control goes the same way too.
    const isForeseen = alone && controlKey(laid.job, inOrder(alone.solved.rows)) === controlKey(laid.job, inOrder(solved.rows));
    const room = isForeseen ? { ...alone, solved } : atWork(space, solved);
    const menus = menusOf([...ground.backbone.hubs, ...space.players], laid.settings);
    const figures = figuresOf(space, room, this.effort, { menus, toBuy: toBuy(ground.backbone.boxes, laid.wires) });
    const points = pointsOf(space, measure.weights, solved, figures);
    if (points === null) return null;
    const places = new Map(space.players.map((player, index) => [player.id, this.chosen[index]?.kind?.device ?? null]));
    return { ...laid, school, points, figures, boxes: ground.backbone.boxes, places };
  }
}

/** The rows of a board and of each player alone stand in one order by their names. */
const inOrder = (rows: readonly Arrival[]): readonly Arrival[] => rows.toSorted((a, b) => (a.id < b.id ? -1 : 1));

/** New parts that the van has not. */
export const toBuy = (boxes: readonly BoxAtHand[], wires: readonly Wire[]): number =>
  boxes.filter(({ device, isThere }) => !isThere && device.supply === "buy").length +
  wires.filter(({ cable, lying }) => !lying && cable.supply === "buy" && cable.class !== "direct-plug").length;

/** Boxes of the room that a plan has no use for stay where they are, with nothing in them. */
const unusedBoxes = ({ boxes }: WiringSpace, backbone: Backbone): readonly Device[] =>
  boxes.filter((box) => box.isThere && !backbone.boxes.includes(box)).map(({ device }) => device);
