import type { RemoteLimit } from "../evaluation";
import { controlReachKey } from "../bounds";
import { groupBy } from "../space";
import type { Configuration } from "./configurations";
import { GroupBounds } from "./group-bounds";
import {
  type ConfigurationsNode,
  type ControlNode,
  type LimitedVariant,
  type OpenNode,
  playersOn,
  type SearchedTopology,
  type SearchState,
  type SettingNode,
  type ShownBounds,
} from "./open-nodes";
import { ALIKE, assignPlugs, variantUpperBound } from "./plug-assignment";
import { PlugUpperBounds, PlugValues } from "./plug-values";
import type { HubsAsSet } from "./acts-bounds";
import type { PlugBounds } from "./plug-bounds";
import { canBeMet, rowNeedsOf } from "./row-needs";
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
      const bound = others + playersBound(run, on, set, shownBy(on.bounded.bounds), others);
      return { kind: "bus", group, on, bound, schools: on.bounded.schools, depth: 2 };
    });

/** The configurations of a node by all that control depends on. Where control reaches as far, nothing else is known of them yet. */
export const controlNodes = (run: SearchState, { group, on }: SettingNode<"bus">): readonly ControlNode[] =>
  groupBy(group.split(controlKeyOf), ({ hubs }) => controlReachKey(hubs)).flatMap((groups) => {
    let players: number | undefined;
    return groups.map((one): ControlNode => {
      const { bounded } = on;
      players ??= playersBound(run, on, one, shownBy(bounded.bounds), on.own);
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

/** Refines the bound of a node by what its settings let through, until it is at or below the cutoff or all of it is refined. */
export function refineControl(node: ControlNode, cutoff: number): ControlNode {
  const { bounds, on } = node;
  const others = on.bounded.before + bounds.points;
  const worthOf = (placing: Placing, limit: number): number => {
    for (;;) {
      const found = assignPlugs(placing, (plug) => bounds.of(plug));
      const open = found?.plugs.filter((plug) => !bounds.isRefined(plug)) ?? [];
      if (!found || open.length === 0 || found.worth <= limit) return found?.worth ?? -Infinity;
      open.forEach((plug) => bounds.refine(plug));
    }
  };
  const parts = on.variants.map((variant) => {
    const limit = cutoff - others + variant.remotes.lost;
    return others - variant.remotes.lost + variantUpperBound(variant, limit, (placing) => worthOf(placing, limit));
  });
  const bound = Math.min(node.bound, Math.max(...parts));
  return { ...node, bound, isRefined: bound > cutoff };
}

/** Configurations where control is the same, by whether the main screen's own sound comes from the sound system, the best of each first. */
export function configurationsNodes(run: SearchState, { group, bounds, on }: ControlNode): readonly OpenNode[] {
  const possible = group.configurations().filter(({ isPossible }) => isPossible);
  return groupBy(possible, (one) => `${one.control} ${on.bounded.bounds.soundsItself(one)}`).flatMap((configurations) =>
    configurationsLeft(
      run,
      on,
      configurations.toSorted((a, b) => b.points - a.points),
      shownBy(bounds),
    ),
  );
}

const shownBy = (bounds: Pick<PlugBounds, "on">): ShownBounds => ({ known: new PlugUpperBounds(bounds), atMost: new Map() });

/** A node for configurations that share what they show; none where none are left. */
function configurationsLeft(
  run: SearchState,
  on: SearchedTopology,
  configurations: readonly Configuration[],
  shown: ShownBounds,
): readonly ConfigurationsNode[] {
  const [first] = configurations;
  if (!first) return [];
  const bound = first.points + playersBound(run, on, first, shown, first.points);
  return [{ kind: "configurations", configurations, on, shown, bound, schools: on.bounded.schools, depth: 4 }];
}

/**
 * Upper bound of what a topology and its players bring, over the variants that could still beat the incumbent with so many other points;
 * -Infinity where none could.
 */
function playersBound(
  { incumbent }: SearchState,
  { bounded, variants }: SearchedTopology,
  set: HubsAsSet,
  shown: ShownBounds,
  others: number,
): number {
  const parts = variants.map((one) => {
    const worth = bounded.before + playersAtMost(set, shown, one) - one.remotes.lost;
    return worth + others > incumbent(one.school) + ALIKE ? worth : -Infinity;
  });
  return Math.max(...parts);
}

/** Upper bound of what players bring, using what configurations have shown: the same on all of them until more is shown. */
function playersAtMost(set: HubsAsSet, { known, atMost }: ShownBounds, variant: LimitedVariant): number {
  const last = atMost.get(variant);
  if (last?.version === known.version) return last.worth;
  const worth = variantUpperBound(variant, -Infinity, (placing) => assignPlugs(placing, (plug) => known.on(set, plug))?.worth ?? -Infinity);
  atMost.set(variant, { version: known.version, worth });
  return worth;
}

/** Expands the first configuration, unless its bound has fallen below the cutoff since. */
export function expandConfigurations(
  run: SearchState,
  { configurations, on, shown }: ConfigurationsNode,
  cutoff: number,
): readonly OpenNode[] {
  const [first, ...rest] = configurations;
  const [now] = configurationsLeft(run, on, configurations, shown);
  if (!first || !now) return [];
  return now.bound <= cutoff ? [now] : [...assignmentsOn(run, first, on, shown), ...configurationsLeft(run, on, rest, shown)];
}

/** Assignment nodes of a configuration, for the variants that could still win. */
function assignmentsOn(
  { context, incumbent, mustSound }: SearchState,
  configuration: Configuration,
  { bounded, variants }: SearchedTopology,
  shown: ShownBounds,
): readonly OpenNode[] {
  const rowNeeds = rowNeedsOf(context.space, bounded.topology, mustSound);
  const worths = new Map<RemoteLimit, PlugValues>();
  return variants.flatMap((one) => {
    const { school, placings, relaxed, remotes } = one;
    const base = configuration.points + bounded.before - remotes.lost;
    const bound = base + playersAtMost(configuration, shown, one);
    if (bound <= incumbent(school) + ALIKE || !canBeMet(bounded.bounds, configuration, rowNeeds, relaxed.tables)) return [];
    const worth = worths.get(remotes) ?? new PlugValues(context, configuration, shown.known, bounded.bounds, remotes.most);
    worths.set(remotes, worth);
    return placings.map((placing) => playersOn({ configuration, worth, school, rowNeeds, base, ...placing }, bound));
  });
}
