import { controlStateOf, returnLinks, type ActFigures } from "@/core/cec";
import { arrivalsOnly, type Arrival } from "@/core/chain";
import { mayTakeReturn, type Device } from "@/core/device";
import type { Job } from "@/core/job";
import type { Topology } from "../topology";
import { contentShare, effortPoints, fulfils, hopePoints, menuEffort, rowPoints, type Weights } from "../evaluation";
import { jobWith, type SettingChoice, type WiringSpace } from "../space";
import { pictureOnScreens, upperBounds, type UpperBounds, WHOLE_ON_ALL } from "../bounds";
import type { PlugMemo } from "./plugs";
import { DependencyMemo, JobFacts, type MemoEntry, SettingMemo } from "../memo";
import type { ActsResult } from "./judge-plug";

/** What every node of a search shares: the space, the weights, the upper bounds and the memos. */
export interface PlanContext {
  readonly space: WiringSpace;
  readonly weights: Weights;
  readonly most: UpperBounds;
  /** Rows of devices, from job to job of the search. */
  readonly rows: DependencyMemo<readonly Arrival[]>;
  /** Upper bounds: how much of its sound each content of a device can keep, and on how many screens its picture can be complete. */
  readonly sounds: DependencyMemo<readonly number[]>;
  readonly pictures: DependencyMemo<readonly number[]>;
  readonly plugs: PlugMemo;
  /** Ease of the acts of a player, by everything they depend on of the configuration and of the player. */
  readonly ease: Map<string, Map<string, ActsResult>>;
  /** Figures of the everyday acts in estimated plans, by everything they depend on. */
  readonly acts: Map<string, readonly ActFigures[]>;
}

/** A context with empty memos. */
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

/** The rows of a device in a job: from the memo where every question has the same answer, else from the engine. */
export const rowsIn = ({ rows }: Pick<PlanContext, "rows">, job: Job, device: string): MemoEntry<readonly Arrival[]> =>
  rows.of(new JobFacts(job), device, () => {
    const { rows: answer, asked } = arrivalsOnly(job, "planned", device);
    return { answer, asked };
  });

/** The same context with tighter bounds, which know what each screen can show. */
export const withPictureBounds = (context: PlanContext): PlanContext => ({
  ...context,
  most: upperBounds(context.space, context.weights, pictureOnScreens(context.space)),
  plugs: new Map(),
});

/** The links of all return channels of a job as a key, with the questions they depend on. */
export function returnWords(job: Job): MemoEntry<string> {
  const { answer, asked } = returnLinks(job);
  return { answer: [...answer].map(([device, link]) => `${device} ${link}`).join(), asked };
}

/** The switches of its return channels, in words. */
export const returnSwitches = ({ settings }: Device): string =>
  settings.flatMap(({ key, planned, found }) => (key === "arc" || key === "earc" ? [`${key} ${planned ?? found}`] : [])).join();

/** The rows of a device's own sources, with their points. */
interface OwnRows {
  readonly rows: readonly Arrival[];
  readonly points: number;
}

/** A device with sources of its own on a topology, with a memo of its rows by the settings they depend on. */
interface OwnSource {
  readonly id: string;
  readonly told: SettingMemo<OwnRows>;
}

/** What the configurations of a topology remember together. */
export interface SharedMemos {
  readonly sounding: readonly OwnSource[];
  readonly returns: SettingMemo<string>;
}

export const sharedMemos = ({ fixedDevices }: WiringSpace, { hubs }: Topology): SharedMemos => ({
  sounding: [...hubs, ...fixedDevices].flatMap(({ id, sources }): OwnSource[] => (sources.length ? [{ id, told: new SettingMemo() }] : [])),
  returns: new SettingMemo<string>(),
});

/** A configured topology: the settings of its hubs are fixed, its players not yet assigned. Everything about it is computed on first use. */
export class Configuration {
  /** Points lost for the menus to visit. */
  readonly menus: number;
  private known: OwnRows | undefined;
  private controlled: string | undefined;

  constructor(
    private readonly context: PlanContext,
    private readonly shared: SharedMemos,
    readonly topology: Topology,
    readonly hubs: readonly Device[],
    readonly settings: readonly SettingChoice[],
  ) {
    this.menus = effortPoints(menuEffort(topology.hubs, settings), context.weights);
  }

  /** The rows of the hubs' own sources and of the players that no plan moves. */
  get rows(): readonly Arrival[] {
    return this.own.rows;
  }

  /** The points of what no planned player affects: the screens' own apps and tuners, and the players that no plan moves. */
  get points(): number {
    return this.own.points - this.menus;
  }

  /** A key: configurations of one topology with the same key behave the same on the control bus, as far as the hubs decide. */
  get control(): string {
    const { hubs, topology } = this;
    const { space } = this.context;
    return (this.controlled ??= [
      ...hubs.map(controlStateOf),
      this.shared.returns.of(hubs, () => returnWords(jobWith(space, hubs, topology.wires))),
      ...(space.players.some(mayTakeReturn) ? hubs.map(returnSwitches) : []),
    ].join("|"));
  }

  private get own(): OwnRows {
    if (this.known) return this.known;
    const all = this.shared.sounding.map(({ id, told }) => told.of(this.hubs, () => this.ownOf(id)));
    this.known = { rows: all.flatMap(({ rows }) => rows), points: all.reduce((sum, { points }) => sum + points, 0) };
    return this.known;
  }

  private ownOf(id: string): MemoEntry<OwnRows> {
    const { space, weights } = this.context;
    const { answer: rows, asked } = rowsIn(this.context, jobWith(space, this.hubs, this.topology.wires), id);
    return { answer: { rows, points: rowPoints(space, rows, contentShare(space.job), weights) + hopePoints(space, id, rows) }, asked };
  }

  /** Whether the required wishes about devices that no plan plugs are met. */
  get isPossible(): boolean {
    return isFulfilled(this.context.space, this.rows);
  }
}

/** Whether the required wishes about the screens' own apps and the players that no plan moves are met. */
const isFulfilled = (space: WiringSpace, rows: readonly Arrival[]): boolean =>
  staying(space).every(({ id }) => fulfils(space, id, rowsOf(rows, id)));

const staying = ({ job, players }: WiringSpace): readonly Device[] =>
  job.devices.filter(({ id }) => !players.some((player) => player.id === id));

const rowsOf = (rows: readonly Arrival[], device: string): readonly Arrival[] => rows.filter(({ player }) => player === device);
