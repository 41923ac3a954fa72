import type { RemoteLimit } from "../evaluation";
import { controlReachKey } from "../bounds";
import { groupBy } from "../space";
import type { Configuration } from "./configurations";
import { GroupBounds } from "./group-bounds";
import {
  type ConfigurationsNode,
  type ControlNode,
  type OpenNode,
  playersOn,
  type SearchedTopology,
  type SearchState,
  type SettingNode,
  type VariantWorth,
} from "./open-nodes";
import { ALIKE, assignPlugs, refinedWorth, variantUpperBound } from "./plug-assignment";
import { PlugValues } from "./plug-values";
import type { HubsAsSet } from "./acts-bounds";
import type { PlugBounds } from "./plug-bounds";
import { canBeMet, mayBeMet, rowNeedsOf } from "./row-needs";
import type { Placing } from "./school-needs";
import { controlKeyOf, onBusKey } from "./setting-group";

/** The configurations of a topology, by which of its hubs are on the bus. */
export const busNodes = (run: SearchState, on: SearchedTopology): readonly SettingNode<"bus">[] =>
  on.bounded
    .settings()
    .split(onBusKey)
    .map((group) => {
      const others = on.own - group.menus;
      const set: HubsAsSet = { hubs: group.hubs, returns: "open" };
      const bound = others + bestOf(run, worthsOn(on, set, on.bounded.bounds), others);
      return { kind: "bus", group, on, bound, schools: on.bounded.schools, depth: 2 };
    });

/**
 * The configurations of a node by all that control depends on, where nothing that a plan has to do is shut. Where control reaches as far,
 * nothing else is known of them yet.
 */
export const controlNodes = (run: SearchState, { group, on }: SettingNode<"bus">): readonly ControlNode[] => {
  const { space } = run.context;
  const needs = rowNeedsOf(space, on.bounded.topology, run.mustSound);
  const open = group.split(controlKeyOf).filter(({ undecided }) => mayBeMet(space, on.bounded, undecided, needs));
  return groupBy(open, ({ hubs }) => controlReachKey(hubs)).flatMap((groups) => {
    let players: number | undefined;
    return groups.map((one): ControlNode => {
      const { bounded } = on;
      players ??= bestOf(run, worthsOn(on, one, bounded.bounds), on.own);
      const bounds = new GroupBounds(run.context, bounded.topology, bounded.bounds, one);
      return {
        kind: "control",
        group: one,
        on,
        bounds,
        bound: on.own - one.menus + players,
        schools: bounded.schools,
        depth: 3,
        isRefined: false,
      };
    });
  });
};

/** Refines the bound of a node by what its settings let through, until it is at or below the cutoff or all of it is refined. */
export function refineControl(node: ControlNode, cutoff: number): ControlNode {
  const { bounds, on } = node;
  const others = on.bounded.before + bounds.points;
  const parts = on.variants.map((variant) => {
    const limit = cutoff - others + variant.remotes.lost;
    return others - variant.remotes.lost + variantUpperBound(variant, limit, (placing) => refinedWorth(placing, bounds, limit));
  });
  const bound = Math.min(node.bound, Math.max(...parts));
  return { ...node, bound, isRefined: bound > cutoff };
}

/** Configurations where control is the same, by whether the main screen's own sound comes from the sound system, the best of each first. */
export function configurationsNodes(run: SearchState, { group, bounds, on }: ControlNode): readonly OpenNode[] {
  const possible = group.configurations().filter(({ isPossible }) => isPossible);
  return groupBy(possible, (one) => `${one.control} ${on.bounded.bounds.soundsItself(one)}`).flatMap((alike) => {
    const configurations = alike.toSorted((a, b) => b.points - a.points);
    const [first] = configurations;
    return first ? configurationsLeft(run, { on, bounds, worths: worthsOn(on, first, bounds) }, configurations) : [];
  });
}

/** A node for configurations on which players bring as much at most; none where none are left. */
function configurationsLeft(
  run: SearchState,
  { on, bounds, worths }: Pick<ConfigurationsNode, "on" | "bounds" | "worths">,
  configurations: readonly Configuration[],
): readonly ConfigurationsNode[] {
  const [first] = configurations;
  if (!first) return [];
  const bound = first.points + bestOf(run, worths, first.points);
  return [{ kind: "configurations", on, bounds, worths, configurations, bound, schools: on.bounded.schools, depth: 4 }];
}

/** Upper bound of what a topology and its players bring by each variant, on hubs that are set in some way. */
const worthsOn = ({ bounded, variants }: SearchedTopology, set: HubsAsSet, bounds: Pick<PlugBounds, "on">): readonly VariantWorth[] =>
  variants.map((variant) => {
    const of = (placing: Placing) => assignPlugs(placing, (plug) => bounds.on(set, plug))?.worth ?? -Infinity;
    return { variant, worth: bounded.before + variantUpperBound(variant, -Infinity, of) - variant.remotes.lost };
  });

/** The greatest of them that could still beat the incumbent with so many other points; -Infinity where none could. */
const bestOf = ({ incumbent }: SearchState, worths: readonly VariantWorth[], others: number): number =>
  Math.max(...worths.map(({ variant, worth }) => (worth + others > incumbent(variant.school) + ALIKE ? worth : -Infinity)));

/** Expands the first configuration, unless its bound has fallen below the cutoff since. */
export function expandConfigurations(run: SearchState, node: ConfigurationsNode, cutoff: number): readonly OpenNode[] {
  const [first, ...rest] = node.configurations;
  const [now] = configurationsLeft(run, node, node.configurations);
  if (!first || !now) return [];
  return now.bound <= cutoff ? [now] : [...assignmentsOn(run, node, first), ...configurationsLeft(run, node, rest)];
}

/** Assignment nodes of a configuration, for the variants that could still win. */
function assignmentsOn(
  { context, incumbent, mustSound }: SearchState,
  { on: { bounded }, bounds, worths }: ConfigurationsNode,
  configuration: Configuration,
): readonly OpenNode[] {
  const rowNeeds = rowNeedsOf(context.space, bounded.topology, mustSound);
  const values = new Map<RemoteLimit, PlugValues>();
  return worths.flatMap(({ variant: { school, placings, relaxed, remotes }, worth: most }) => {
    const bound = configuration.points + most;
    if (bound <= incumbent(school) + ALIKE || !canBeMet(bounded.bounds, configuration, rowNeeds, relaxed.tables)) return [];
    const base = configuration.points + bounded.before - remotes.lost;
    const worth = values.get(remotes) ?? new PlugValues(context, configuration, bounds, bounded.bounds, remotes.most);
    values.set(remotes, worth);
    return placings.map((placing) => playersOn({ configuration, worth, school, rowNeeds, base, ...placing }, bound));
  });
}
