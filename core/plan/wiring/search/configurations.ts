import { controlStateOf, returnLinks, type ActFigures } from "@/core/cec";
import { arrivalsOnly, type Arrival } from "@/core/chain";
import type { Device } from "@/core/device";
import type { Cable, Job } from "@/core/job";
import type { Topology } from "../topology";
import { contentShare, effortPoints, fulfils, hopePoints, menuEffort, rowPoints, type Weights } from "../evaluation";
import {
  cartesianProduct,
  choicesOf,
  combinations,
  groupBy,
  isLead,
  jobWith,
  reachOf,
  type SettingChoice,
  type Wire,
  type WiringSpace,
  withSettings,
} from "../space";
import { pictureOnScreens, upperBounds, type UpperBounds, WHOLE_ON_ALL } from "../bounds";
import type { PlugMemo } from "./plugs";
import { DependencyMemo, JobFacts, type MemoEntry, SettingMemo } from "../memo";
import type { ActsResult } from "./judge-plug";

/** What stays the same for every configuration of a search, and what it has worked out already. */
export interface PlanContext {
  readonly space: WiringSpace;
  readonly weights: Weights;
  readonly most: UpperBounds;
  /** The rows of devices in the rooms that were tried. */
  readonly rows: DependencyMemo<readonly Arrival[]>;
  /** How much of its sound each content of a device could keep, and on how many screens it could be whole, in the rooms that were tried. */
  readonly sounds: DependencyMemo<readonly number[]>;
  readonly pictures: DependencyMemo<readonly number[]>;
  readonly plugs: PlugMemo;
  /** How the acts of a player go, by all on which that rests. */
  readonly ease: Map<string, ActsResult>;
  /** How the everyday acts go in the rooms that were predicted, by all on which that rests. */
  readonly acts: Map<string, readonly ActFigures[]>;
}

/** A context that has worked out nothing yet. */
export const newContext = (space: WiringSpace, weights: Weights): PlanContext => ({
  space,
  weights,
  most: upperBounds(space, weights, WHOLE_ON_ALL),
  rows: new DependencyMemo(),
  sounds: new DependencyMemo(),
  pictures: new DependencyMemo(),
  plugs: new Map(),
  ease: new Map(),
  acts: new Map(),
});

/** The rows of a device in a room, from the full engine or from another room that is alike in all that they depend on. */
export const rowsIn = ({ rows }: Pick<PlanContext, "rows">, job: Job, device: string): MemoEntry<readonly Arrival[]> =>
  rows.of(new JobFacts(job), device, () => {
    const { rows: answer, asked } = arrivalsOnly(job, "planned", device);
    return { answer, asked };
  });

/** The context with bounds that know what each screen can show; it goes on remembering what was worked out. */
export const withPictureBounds = (context: PlanContext): PlanContext => ({
  ...context,
  most: upperBounds(context.space, context.weights, pictureOnScreens(context.space)),
  plugs: new Map(),
});

/** The links of all return channels of a room in words, with the questions on which they hang. */
export function returnWords(job: Job): MemoEntry<string> {
  const { answer, asked } = returnLinks(job);
  return { answer: [...answer].map(([device, link]) => `${device} ${link}`).join(), asked };
}

/** A player with a return socket brings a return channel of its own. */
const mayReturn = ({ ports }: Device): boolean =>
  ports.some((port) => port.connector === "hdmi" && port.direction === "out" && port.returns !== "none");

const returnSwitches = ({ settings }: Device): string =>
  settings.flatMap(({ key, planned, found }) => (key === "arc" || key === "earc" ? [`${key} ${planned ?? found}`] : [])).join();

/** What a device plays by itself, with the points that it brings. */
interface OwnRows {
  readonly rows: readonly Arrival[];
  readonly points: number;
}

/** What a device plays by itself on a topology, for every set of switches that was asked about. */
interface OwnSource {
  readonly id: string;
  readonly told: SettingMemo<OwnRows>;
}

/** A topology with the settings of its hubs: what players are tried on. What it is without them is worked out when it is first asked. */
export class Configuration {
  /** The points that its menus cost. */
  readonly menus: number;
  private known: OwnRows | undefined;
  private controlled: string | undefined;

  constructor(
    private readonly context: PlanContext,
    private readonly shared: { readonly sounding: readonly OwnSource[]; readonly returns: SettingMemo<string> },
    readonly topology: Topology,
    readonly hubs: readonly Device[],
    readonly settings: readonly SettingChoice[],
  ) {
    this.menus = effortPoints(menuEffort(topology.hubs, settings), context.weights);
  }

  /** The rows of the hubs' own sources and of the players that stay as they lie. */
  get rows(): readonly Arrival[] {
    return this.own.rows;
  }

  /** The points of what does not depend on a player: the screens' own apps and tuners, and the players that stay as they lie. */
  get points(): number {
    return this.own.points - this.menus;
  }

  /** Where it is the same on two configurations of a topology, control goes alike on both, as far as it depends on the hubs. */
  get control(): string {
    const { hubs, topology } = this;
    const { space } = this.context;
    return (this.controlled ??= [
      ...hubs.map(controlStateOf),
      this.shared.returns.of(hubs, () => returnWords(jobWith(space, hubs, topology.wires))).answer,
      ...(space.players.some(mayReturn) ? hubs.map(returnSwitches) : []),
    ].join("|"));
  }

  private get own(): OwnRows {
    if (this.known) return this.known;
    const all = this.shared.sounding.map(({ id, told }) => told.of(this.hubs, () => this.ownOf(id)).answer);
    this.known = { rows: all.flatMap(({ rows }) => rows), points: all.reduce((sum, { points }) => sum + points, 0) };
    return this.known;
  }

  private ownOf(id: string): MemoEntry<OwnRows> {
    const { space, weights } = this.context;
    const { answer: rows, asked } = rowsIn(this.context, jobWith(space, this.hubs, this.topology.wires), id);
    return { answer: { rows, points: rowPoints(space, rows, contentShare(space.job), weights) + hopePoints(space, id, rows) }, asked };
  }

  /** It gives what must be of devices that no plan plugs. */
  get isPossible(): boolean {
    return isFulfilled(this.context.space, this.rows);
  }
}

/** Ways to set the hubs of a topology in which their own switches for control stand alike. */
export interface ControlGroup {
  /** The hubs, set in one of these ways. */
  readonly hubs: readonly Device[];
  readonly configurations: () => readonly Configuration[];
}

/** Every combination of the settings of a topology's hubs, gathered by what they mean for control; laid out where they are asked for. */
export function controlGroups(context: PlanContext, topology: Topology): readonly ControlGroup[] {
  const { space } = context;
  const reach = reachOf(space, topology);
  const shared = {
    sounding: [...topology.hubs, ...space.fixedDevices].flatMap(({ id, sources }): OwnSource[] =>
      sources.length ? [{ id, told: new SettingMemo() }] : [],
    ),
    returns: new SettingMemo<string>(),
  };
  // Each hub once for each way to set it, so that what is known of it holds on every configuration.
  const ways = topology.hubs.map((device) =>
    groupBy(
      combinations(hubChoices(space, topology, reach, device)).map((settings): SetHub => ({
        hub: withSettings(device, settings),
        settings,
      })),
      ({ hub }) => controlStateOf(hub),
    ),
  );
  return cartesianProduct(ways).map((alike) => ({
    hubs: alike.flatMap(([first]) => first?.hub ?? []),
    configurations: () =>
      cartesianProduct(alike).map(
        (set) =>
          new Configuration(
            context,
            shared,
            topology,
            set.map(({ hub }) => hub),
            set.flatMap(({ settings }) => settings),
          ),
      ),
  }));
}

/** Every combination of the settings of a topology's hubs. */
export const everyConfiguration = (context: PlanContext, topology: Topology): readonly Configuration[] =>
  controlGroups(context, topology).flatMap(({ configurations }) => configurations());

/** A hub as it is set. */
interface SetHub {
  readonly hub: Device;
  readonly settings: readonly SettingChoice[];
}

/** What matters of a hub although no sound goes through it to the sound system: who hears it, and whether it plays itself. */
const WITHOUT_SOUND: ReadonlySet<string | undefined> = new Set(["cec", "speakers"]);

/** The values tried of a hub's settings: of one through which no sound comes to the sound system the first of most, for the others change nothing. */
function hubChoices(
  space: WiringSpace,
  topology: Topology,
  reach: ReturnType<typeof reachOf>,
  hub: Device,
): readonly (readonly SettingChoice[])[] {
  const choices = choicesOn(space, topology, hub);
  if (choices.every((values) => values.length === 1) || space.job.brief.newsFrom === "screen") return choices;
  const entries = [...hub.ports, ...hub.sources].map(({ id }) => ({ device: hub.id, port: id }));
  return entries.some((entry) => reach(entry).sounds)
    ? choices
    : choices.map((values) => (WITHOUT_SOUND.has(values[0]?.key) ? values : values.slice(0, 1)));
}

/**
 * What the settings of a hub can be on a topology: Bluetooth on where something is paired with it; the return channel off too where a lead
 * for sound leaves the same screen, for of two ways the one that is not meant is switched off.
 */
export function choicesOn(space: WiringSpace, { wires }: Topology, hub: Device): readonly (readonly SettingChoice[])[] {
  const leaves = (kind: (cable: Cable) => boolean) => wires.some(({ cable }) => cable.from.device === hub.id && kind(cable));
  const isPaired = leaves((cable) => cable.class === "bluetooth");
  const hasLead =
    space.screens.includes(hub) && leaves(isLead) && (space.players.some(mayReturn) || wires.some((wire) => isReturn(space, wire, hub)));
  return choicesOf(hub, hub.id === space.system.id && space.screens.includes(hub)).flatMap((values) => {
    const [first] = values;
    if (first?.key === "bluetooth" && !isPaired) return [];
    if (!hasLead || (first?.key !== "arc" && first?.key !== "earc")) return [values];
    const row = hub.settings.find(({ key }) => key === first.key);
    return [row?.options.includes("off") ? [...values, { ...first, value: "off" }] : values];
  });
}

/** Whether a return channel could run along a wire into a hub. */
function isReturn({ system, boxes }: WiringSpace, { cable: { from, to } }: Wire, hub: Device): boolean {
  const device = [system, ...boxes.map((box) => box.device)].find(({ id }) => id === from.device);
  return to.device === hub.id && device !== undefined && mayReturn(device);
}

/** What must be of devices that no plan plugs: the screens' own apps, players that stay as they lie. */
const isFulfilled = (space: WiringSpace, rows: readonly Arrival[]): boolean =>
  staying(space).every(({ id }) => fulfils(space, id, rowsOf(rows, id)));

const staying = ({ job, players }: WiringSpace): readonly Device[] =>
  job.devices.filter(({ id }) => !players.some((player) => player.id === id));

const rowsOf = (rows: readonly Arrival[], device: string): readonly Arrival[] => rows.filter(({ player }) => player === device);
