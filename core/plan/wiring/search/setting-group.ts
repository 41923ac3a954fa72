import { controlStateOf, takesPart } from "@/core/cec";
import type { Device } from "@/core/device";
import { present } from "@/core/outcome";
import { controlReachKey } from "../bounds";
import { effortPoints, menuEffort } from "../evaluation";
import { cartesianProduct, combinations, groupBy, type SettingChoice, undecided, withSettings } from "../space";
import type { Topology } from "../topology";
import { Configuration, type PlanContext, returnSwitches, type SharedMemos, sharedMemos } from "./configurations";
import { hubChoices } from "./hub-choices";

/** A hub with its settings. */
interface SetHub {
  readonly hub: Device;
  readonly settings: readonly SettingChoice[];
  /** Points lost for the menus to visit. */
  readonly menus: number;
}

/** Configurations of a topology that share some settings: each hub set in one of several ways. */
export class SettingGroup {
  /** The hubs as one of these configurations sets them. */
  readonly hubs: readonly Device[];
  /** Points lost for menus on each of them at least. */
  readonly menus: number;
  private open: readonly Device[] | undefined;

  /** @param ways how each hub of the topology can be set */
  constructor(
    private readonly context: PlanContext,
    private readonly topology: Topology,
    private readonly shared: SharedMemos,
    private readonly ways: readonly (readonly SetHub[])[],
  ) {
    this.hubs = ways.flatMap(([first]) => first?.hub ?? []);
    this.menus = ways.reduce((sum, own) => sum + Math.min(...own.map(({ menus }) => menus)), 0);
  }

  /** The hubs with the settings that all of these configurations share, and the others known to nobody. */
  get undecided(): readonly Device[] {
    return (this.open ??= this.ways.map((own, index) =>
      undecided(present(this.topology.hubs[index], "a hub of the topology"), valuesIn(own)),
    ));
  }

  /** The same configurations in groups: in each of them every hub has the same key. */
  split(keyOf: (hub: Device) => string): readonly SettingGroup[] {
    const { context, topology, shared } = this;
    return cartesianProduct(this.ways.map((own) => groupBy(own, ({ hub }) => keyOf(hub)))).map(
      (ways) => new SettingGroup(context, topology, shared, ways),
    );
  }

  configurations(): readonly Configuration[] {
    const { context, topology, shared } = this;
    return cartesianProduct(this.ways).map(
      (set) =>
        new Configuration(
          context,
          shared,
          topology,
          set.map(({ hub }) => hub),
          set.flatMap(({ settings }) => settings),
        ),
    );
  }
}

/** Whether a hub takes part in control, as a key. */
export const onBusKey = (hub: Device): string => String(takesPart(hub));

/** All that control depends on of a hub as it is set, and all that the control reach does, so that a group has one reach. */
export const controlKeyOf = (hub: Device): string => `${controlStateOf(hub)} ${returnSwitches(hub)} ${controlReachKey([hub])}`;

/** Every combination of the settings of a topology's hubs. Each hub stands there once per combination, so that memos about it apply to all. */
export function settingsOf(context: PlanContext, topology: Topology): SettingGroup {
  const { space, weights } = context;
  const ways = topology.hubs.map((device) =>
    combinations(hubChoices(space, topology, device)).map((settings): SetHub => {
      const menus = effortPoints(menuEffort([device], settings), weights);
      return { hub: withSettings(device, settings), settings, menus };
    }),
  );
  return new SettingGroup(context, topology, sharedMemos(space, topology), ways);
}

/** The same one after the other, each made when it is asked for. */
export function* everyConfiguration(context: PlanContext, topology: Topology): Generator<Configuration> {
  for (const group of settingsOf(context, topology).split(controlKeyOf)) yield* group.configurations();
}

/** The values that each setting has in some combinations. */
const valuesIn = (ways: readonly SetHub[]): readonly (readonly SettingChoice[])[] =>
  groupBy(
    ways.flatMap(({ settings }) => settings),
    ({ key }) => key,
  ).map((choices) => choices.filter(({ value }, index) => choices.findIndex((other) => other.value === value) === index));
