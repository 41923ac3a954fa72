import type { ActFigures } from "@/core/cec";
import { solve, type Arrival, type Solved } from "@/core/chain";
import type { Device } from "@/core/device";
import type { School, Topology } from "../topology";
import { type BoxAtHand, jobWith, menusOf, type SettingChoice, suppliedBy, type Wire, type WiringSpace, withSettings } from "../space";
import {
  addEffort,
  boxEffort,
  commonFigures,
  type Effort,
  figuresOf,
  fulfilsAll,
  leadsAreUsed,
  menuEffort,
  NO_EFFORT,
  type PlanFigures,
  pointsOf,
  type SolvedRoom,
  solvedRoom,
  takeOutEffort,
  weighedFigures,
  type WeighedFigures,
  wireEffort,
} from "../evaluation";
import { giveOut, withOwnIds } from "./give-out";
import type { Configuration, PlanContext } from "./configurations";
import { rowsOfEach } from "./rows-of-each";
import { controlKey, type PlayerOption } from "./judge-plug";

/** A room wired in one way, with its figures from the full engine. */
export interface WiringPlan {
  readonly school: School;
  readonly points: number;
  readonly figures: PlanFigures;
  readonly boxes: readonly BoxAtHand[];
  readonly wires: readonly Wire[];
  readonly settings: readonly SettingChoice[];
  /** The device that each player is in; null: it has no socket. */
  readonly places: ReadonlyMap<string, string | null>;
  readonly job: WiringSpace["job"];
}

/** What a topology costs and asks for, before a player is plugged in. */
export const topologyEffort = (space: WiringSpace, { boxes, wires }: Topology): Effort =>
  [...boxes.map(boxEffort), ...wires.map((wire) => wireEffort(space, wire))].reduce(addEffort, takeOutEffort(space));

/** The estimate of a plan. */
export interface Estimate {
  readonly points: number;
  readonly figures: WeighedFigures;
}

/** The plan of a configuration with an option for each player: sockets are given out, and all of it goes through the full engine. Null where it is none. */
export const planOf = (
  context: PlanContext,
  configuration: Configuration,
  school: School,
  chosen: readonly PlayerOption[],
): WiringPlan | null => draftOf(context, configuration, school, chosen)?.plan() ?? null;

/** A plan laid out: null where a stick would cover a socket that somebody needs. */
export function draftOf(
  context: PlanContext,
  configuration: Configuration,
  school: School,
  chosen: readonly PlayerOption[],
): PlanDraft | null {
  const { space } = context;
  const settings = [...configuration.settings, ...chosen.flatMap((option) => option.settings)];
  const players = space.players.map((player) => withSettings(player, settings));
  const others = [...players, ...unusedBoxes(space, configuration.topology)];
  const given = giveOut(space, configuration.topology.wires, chosen, (wires) => jobWith(space, configuration.hubs, wires, others));
  if (!given) return null;
  // One cable is not in two places.
  const reused = given.flatMap(({ existing }) => existing?.id ?? []);
  if (new Set(reused).size < reused.length) return null;
  const wires = suppliedBy(space, withOwnIds(space, given));
  return new PlanDraft(context, configuration, school, chosen, { settings, wires, job: jobWith(space, configuration.hubs, wires, others) });
}

/** A plan whose sockets are given out, before anything is sent through it. */
export class PlanDraft {
  private readonly effort: Effort;
  private alone: SolvedRoom | undefined;

  constructor(
    private readonly context: PlanContext,
    private readonly configuration: Configuration,
    private readonly school: School,
    private readonly chosen: readonly PlayerOption[],
    private readonly laid: Pick<WiringPlan, "settings" | "wires" | "job">,
  ) {
    const { space } = context;
    this.effort = [
      topologyEffort(space, configuration.topology),
      menuEffort([...configuration.topology.hubs, ...space.players], laid.settings),
      ...chosen.map(({ wire }) => (wire ? wireEffort(space, wire) : NO_EFFORT)),
    ].reduce(addEffort);
  }

  /**
   * An estimate from the rows of each player alone, which are known already. Other players never add to them, so the plan itself is never
   * better. Null where a lead would carry nothing, or where it needs more remotes than allowed.
   */
  estimate(): Estimate | null {
    const { context, configuration, chosen, laid } = this;
    const { space } = context;
    const rows = rowsOfEach(context, configuration, chosen);
    if (!leadsAreUsed(rows, laid.wires) || !fulfilsAll(space, rows)) return null;
    const key = controlKey(laid.job, rows);
    const known = context.acts.get(key) ?? this.actsBy(key, { job: laid.job, state: "planned", units: [], rows });
    const figures = weighedFigures(space, { job: laid.job, rows }, known, this.effort);
    const points = pointsOf(space, context.weights, { job: laid.job, rows }, figures);
    return points === null ? null : { points, figures };
  }

  private actsBy(key: string, solved: Solved): readonly ActFigures[] {
    const { space, acts } = this.context;
    this.alone = solvedRoom(space, solved);
    const figures = commonFigures(space, this.alone.household);
    acts.set(key, figures);
    return figures;
  }

  /** The plan, played through the full engine; null as above. */
  plan(): WiringPlan | null {
    const { context, configuration, school, laid, alone } = this;
    const { space } = context;
    const solved = solve(laid.job, "planned");
    if (!leadsAreUsed(solved.rows, laid.wires) || !fulfilsAll(space, solved.rows)) return null;
    // Where sound takes the same paths, control behaves the same too.
    const isEstimated = alone && controlKey(laid.job, inOrder(alone.solved.rows)) === controlKey(laid.job, inOrder(solved.rows));
    const room = isEstimated ? { ...alone, solved } : solvedRoom(space, solved);
    const menus = menusOf([...configuration.topology.hubs, ...space.players], laid.settings);
    const figures = figuresOf(space, room, this.effort, { menus, toBuy: toBuy(configuration.topology.boxes, laid.wires) });
    const points = pointsOf(space, context.weights, solved, figures);
    if (points === null) return null;
    const places = new Map(space.players.map((player, index) => [player.id, this.chosen[index]?.kind?.device ?? null]));
    return { ...laid, school, points, figures, boxes: configuration.topology.boxes, places };
  }
}

/** Rows in one order by their ids, so that a board and the rows of each player alone can be compared. */
const inOrder = (rows: readonly Arrival[]): readonly Arrival[] => rows.toSorted((a, b) => (a.id < b.id ? -1 : 1));

/** Number of new parts that the van does not have. */
export const toBuy = (boxes: readonly BoxAtHand[], wires: readonly Wire[]): number =>
  boxes.filter(({ device, isThere }) => !isThere && device.supply === "buy").length +
  wires.filter(({ cable, existing }) => !existing && cable.supply === "buy" && cable.class !== "direct-plug").length;

/** Boxes that a plan does not use stay in the room, with nothing plugged in. */
const unusedBoxes = ({ boxes }: WiringSpace, topology: Topology): readonly Device[] =>
  boxes.filter((box) => box.isThere && !topology.boxes.includes(box)).map(({ device }) => device);
