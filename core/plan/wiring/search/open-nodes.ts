import { groupBy } from "../space";
import type { Configuration, ControlGroup, PlanContext } from "./configurations";
import { draftOf, type WiringPlan } from "./plan-draft";
import { type RemoteLimit, remoteLimits } from "../evaluation";
import { asPlugNeed, canBeMet, type RowNeed, rowNeedsOf, unmetBy } from "./row-needs";
import { rowsOfEach } from "./rows-of-each";
import { ALIKE, assignPlugs, partition, PlugUpperBounds, PlugValues, solveAssignment, variantUpperBound } from "./plug-assignment";
import type { Plug } from "./plugs";
import type { School } from "../topology";
import type { PlayerOption } from "./judge-plug";
import { choicesMeeting, type Placing, type Variant } from "./school-needs";
import { refined, type BoundedTopology } from "./bounded-topology";
import { GroupBounds } from "./group-bounds";
import type { HubsAsSet } from "./plug-bounds";
import { controlOffKey } from "../bounds";

/** An open node of the search, from coarse to fine: a topology, a group of its configurations, configurations, players to assign, an assignment. */
export type OpenNode = Bounded &
  (
    | { readonly kind: "topology"; readonly bounded: BoundedTopology }
    | {
        readonly kind: "control";
        readonly alike: ControlGroup;
        readonly on: TopologyContext;
        /** The bound includes what its settings let through. */
        readonly isRefined: boolean;
      }
    | { readonly kind: "configurations"; readonly configurations: readonly Configuration[]; readonly on: TopologyContext }
    | ({ readonly kind: "players" } & AssignmentProblem)
    | {
        readonly kind: "assignment";
        readonly on: AssignmentProblem;
        readonly plugs: readonly Plug[];
        readonly chosen: readonly PlayerOption[];
      }
  );

interface Bounded {
  /** Upper bound of the points of every plan below it. */
  readonly bound: number;
  /** The schools that plans below it can belong to. */
  readonly schools: readonly School[];
  /** Its level in the tree; deeper nodes first among equal bounds. */
  readonly depth: number;
}

/** What the configurations of a control group share. */
interface TopologyContext {
  readonly bounded: BoundedTopology;
  readonly variants: readonly LimitedVariant[];
  readonly group: GroupBounds;
  /** Upper bounds of plugs within the group, and what its players bring by them at most. */
  readonly known: PlugUpperBounds;
  readonly atMost: Map<Variant, { readonly version: number; readonly worth: number }>;
}

/** A variant with a limit of remotes. */
interface LimitedVariant extends Variant {
  readonly remotes: RemoteLimit;
}

/** The assignment problem of a configuration for one school. */
interface AssignmentProblem extends Placing {
  readonly school: School;
  readonly configuration: Configuration;
  readonly worth: PlugValues;
  readonly rowNeeds: readonly RowNeed[];
  /** The points of a plan before its players. */
  readonly base: number;
}

/** The state of a search that its nodes need. */
export interface SearchState {
  readonly context: PlanContext;
  readonly best: ReadonlyMap<School, WiringPlan>;
  /** Some plan sounds from the sound system, so one that does not is no plan. */
  readonly mustSound: boolean;
  /** Topologies expanded. */
  readonly counts: { topologies: number };
  /** Keeps a plan where it is the best of its school so far; returns it where it is a plan at all. */
  readonly keep: (room: WiringPlan | null) => WiringPlan | null;
  /** The points that a plan of a school has to beat. */
  readonly incumbent: (school: School) => number;
}

export const topologyNode = (bounded: BoundedTopology): OpenNode => ({
  kind: "topology",
  bounded,
  bound: bounded.bound,
  schools: bounded.schools,
  depth: Number(bounded.stage.kind === "whole"),
});

const playersOn = (on: AssignmentProblem, bound: number): OpenNode => ({ kind: "players", ...on, bound, schools: [on.school], depth: 4 });

/**
 * Expands a node, but no further than needed to see that its bound falls below that of the next node. Returns the nodes that are left of it.
 * @param next the bound of the next node
 */
export function expand(run: SearchState, node: OpenNode, next: number): readonly OpenNode[] {
  const cutoff = Math.max(next - ALIKE, Math.min(...node.schools.map(run.incumbent)));
  switch (node.kind) {
    case "topology":
      return expandTopology(run, node.bounded, cutoff);
    case "control":
      return node.isRefined ? expandControl(run, node) : refineControl(node, cutoff);
    case "configurations":
      return expandConfigurations(run, node, cutoff);
    case "players":
      return expandPlayers(run, node, cutoff);
    case "assignment":
      return expandAssignment(run, node);
  }
}

/** Refines the bound of a topology, or expands it into its control groups. */
function expandTopology(run: SearchState, bounded: BoundedTopology, cutoff: number): readonly OpenNode[] {
  const { context, counts: looked } = run;
  const { topology, schools, stage } = bounded;
  if (stage.kind !== "whole") return refined(context, bounded, cutoff).map(topologyNode);
  looked.topologies += 1;
  const limits = remoteLimits(context.space);
  const variants = limits.map((remotes) => ({ ...stage.variant, remotes }));
  // The bound of the hubs' own sources does not depend on control.
  const most = bounded.before + stage.own;
  // Before they are refined, groups with the same devices on the bus have the same bound.
  return groupBy(bounded.groups(), ({ hubs }) => controlOffKey(hubs)).flatMap((groups) => {
    let bound: number | undefined;
    return groups.map((alike): OpenNode => {
      const on = contextOn(bounded, variants, new GroupBounds(context, topology, bounded.bounds, alike));
      bound ??= boundOf(run, alike, on, most);
      return { kind: "control", alike, on, bound, schools, depth: 2, isRefined: false };
    });
  });
}

const contextOn = (bounded: BoundedTopology, variants: readonly LimitedVariant[], group: GroupBounds): TopologyContext => ({
  bounded,
  variants,
  group,
  known: new PlugUpperBounds(group),
  atMost: new Map(),
});

/** Upper bound of plans in a control group, over the variants that could still beat the incumbent of their school; -Infinity where none could. */
const boundOf = ({ incumbent }: SearchState, set: HubsAsSet, on: TopologyContext, others: number): number =>
  Math.max(
    ...on.variants.map((one) => {
      const bound = others + playersAtMost(set, on, one) - one.remotes.lost;
      return bound > incumbent(one.school) + ALIKE ? bound : -Infinity;
    }),
  );

/** Refines the bound of a control group by what its settings let through, until it is at or below the cutoff or all of it is refined. */
function refineControl(node: Extract<OpenNode, { kind: "control" }>, cutoff: number): readonly OpenNode[] {
  const { bounded, group, variants } = node.on;
  const others = bounded.before + group.own;
  const worthOf = (placing: Placing, limit: number): number => {
    for (;;) {
      const found = assignPlugs(placing, (plug) => group.of(plug));
      const open = found?.plugs.filter((plug) => !group.isRefined(plug)) ?? [];
      if (!found || open.length === 0 || found.worth <= limit) return found?.worth ?? -Infinity;
      open.forEach((plug) => group.refine(plug));
    }
  };
  const parts = variants.map((variant) => {
    const limit = cutoff - others + variant.remotes.lost;
    return others - variant.remotes.lost + variantUpperBound(variant, limit, (placing) => worthOf(placing, limit));
  });
  const bound = Math.min(node.bound, Math.max(...parts));
  return [{ ...node, bound, isRefined: bound > cutoff }];
}

/** Expands a control group into configurations, grouped by their return channels. */
function expandControl(run: SearchState, { alike, on }: Extract<OpenNode, { kind: "control" }>): readonly OpenNode[] {
  const possible = alike.configurations().filter(({ isPossible }) => isPossible);
  const { bounds } = on.bounded;
  return groupBy(possible, (one) => `${one.control} ${bounds.soundsItself(one)}`).flatMap((configurations) =>
    configurationsLeft(
      run,
      configurations.toSorted((a, b) => b.points - a.points),
      contextOn(on.bounded, on.variants, on.group),
    ),
  );
}

/** A node for configurations of one control key, the best without players first; none where none are left. */
function configurationsLeft(run: SearchState, configurations: readonly Configuration[], on: TopologyContext): readonly OpenNode[] {
  const [first] = configurations;
  if (!first) return [];
  const bound = boundOf(run, first, on, first.points + on.bounded.before);
  return [{ kind: "configurations", configurations, on, bound, schools: on.bounded.schools, depth: 3 }];
}

/** Upper bound of what players bring on a configuration, using what others of its group have shown: the same on all of them until more is shown. */
function playersAtMost(set: HubsAsSet, { known, atMost }: TopologyContext, variant: LimitedVariant): number {
  const last = atMost.get(variant);
  if (last?.version === known.version) return last.worth;
  const worth = variantUpperBound(variant, -Infinity, (placing) => assignPlugs(placing, (plug) => known.on(set, plug))?.worth ?? -Infinity);
  atMost.set(variant, { version: known.version, worth });
  return worth;
}

/** Expands the first configuration, unless its bound has fallen below the cutoff since. */
function expandConfigurations(
  run: SearchState,
  { configurations, on }: Extract<OpenNode, { kind: "configurations" }>,
  cutoff: number,
): readonly OpenNode[] {
  const [first, ...rest] = configurations;
  const [now] = configurationsLeft(run, configurations, on);
  if (!first || !now) return [];
  return now.bound <= cutoff ? [now] : [...assignmentsOn(run, first, on), ...configurationsLeft(run, rest, on)];
}

/** Assignment nodes of a configuration, one for each school that could still win. */
function assignmentsOn(
  { context, incumbent, mustSound }: SearchState,
  configuration: Configuration,
  on: TopologyContext,
): readonly OpenNode[] {
  const { bounded, variants: open, known } = on;
  const rowNeeds = rowNeedsOf(context.space, bounded.topology, mustSound);
  const worths = new Map<RemoteLimit, PlugValues>();
  return open.flatMap((one) => {
    const { school, placings, relaxed, remotes } = one;
    const base = configuration.points + bounded.before - remotes.lost;
    const bound = base + playersAtMost(configuration, on, one);
    if (bound <= incumbent(school) + ALIKE || !canBeMet(bounded.bounds, configuration, rowNeeds, relaxed.tables)) return [];
    const worth = worths.get(remotes) ?? new PlugValues(context, configuration, known, bounded.bounds, remotes.most);
    worths.set(remotes, worth);
    return placings.map((placing) => playersOn({ configuration, worth, school, rowNeeds, base, ...placing }, bound));
  });
}

/** Solves the assignment as far as the cutoff requires. */
function expandPlayers(run: SearchState, on: AssignmentProblem, cutoff: number): readonly OpenNode[] {
  const found = solveAssignment(on, on.worth, cutoff - on.base);
  const bound = on.base + (found?.worth ?? -Infinity);
  if (!found || bound <= run.incumbent(on.school) + ALIKE) return [];
  const { plugs, chosen } = found;
  if (!chosen) return [playersOn(on, bound)];
  return [{ kind: "assignment", on, plugs, chosen, bound, schools: [on.school], depth: 5 }];
}

/**
 * Plays an assignment through the full engine where its estimate beats the incumbent; returns the other assignments (Murty's partition).
 * Where a lead carries nothing, or nothing sounds, what is left are those in which some player sees to it.
 */
function expandAssignment(run: SearchState, { on, plugs, chosen, bound }: Extract<OpenNode, { kind: "assignment" }>): readonly OpenNode[] {
  const { school, configuration, tables } = on;
  const unmet = unmetBy(on.rowNeeds, rowsOfEach(run.context, configuration, chosen));
  if (unmet.length > 0)
    return choicesMeeting(
      unmet.map((need) => asPlugNeed(run.context, on, need)),
      tables,
    ).map((rest) => playersOn({ ...on, tables: rest }, bound));
  const left = () => partition(tables, plugs).map((rest) => playersOn({ ...on, tables: rest }, bound));
  const draft = draftOf(run.context, configuration, school, chosen);
  const estimate = draft?.estimate();
  if (!draft || !estimate || estimate.points <= (run.best.get(school)?.points ?? -Infinity) + ALIKE) return left();
  const plan = run.keep(draft.plan());
  return plan && plan.points >= bound - ALIKE ? [] : left();
}
