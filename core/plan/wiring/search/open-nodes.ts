import { groupBy } from "../space";
import { controlGroups, type Configuration, type ControlGroup, type PlanContext } from "./configurations";
import { draftOf, type WiringPlan } from "./plan-draft";
import { type RemoteLimit, remoteLimits } from "../evaluation";
import { asPlugNeed, canBeMet, type RowNeed, rowNeedsOf, unmetBy } from "./row-needs";
import { rowsOfEach } from "./rows-of-each";
import { ALIKE, assignPlugs, partition, PlugUpperBounds, PlugValues, solveAssignment } from "./plug-assignment";
import type { Plug } from "./plugs";
import type { School } from "../topology";
import type { PlayerOption } from "./judge-plug";
import {
  allowedIn,
  choicesMeeting,
  type LeastInKind,
  needsAreMet,
  needsOf,
  type Need,
  NONE_NEEDED,
  type PlugTables,
  waysToMeet,
} from "./school-needs";
import { refined, type BoundedTopology } from "./bounded-topology";

/** An open node of the search, from coarse to fine: a topology, a group of its configurations, configurations, players to assign, an assignment. */
export type OpenNode = Bounded &
  (
    | { readonly kind: "topology"; readonly bounded: BoundedTopology }
    | { readonly kind: "control"; readonly alike: ControlGroup; readonly on: TopologyContext }
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
  readonly variants: readonly Variant[];
  /** Upper bounds of plugs within the group, and what its players bring by them at most. */
  readonly known: PlugUpperBounds;
  readonly atMost: Map<Variant, { readonly version: number; readonly worth: number }>;
}

/** A variant of a topology's plans: a school and a limit of remotes. */
interface Variant {
  readonly school: School;
  /** What the school and the boxes need of the players. */
  readonly needs: readonly Need[];
  readonly tables: PlugTables;
  readonly remotes: RemoteLimit;
}

/** The assignment problem of a configuration for one school. */
interface AssignmentProblem extends Pick<Variant, "school" | "needs" | "tables"> {
  readonly configuration: Configuration;
  readonly worth: PlugValues;
  readonly rowNeeds: readonly RowNeed[];
  /** How many players have to be in some kinds of sockets. */
  readonly least: LeastInKind;
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
  depth: Number(bounded.isRefined),
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
      return node.bounded.isRefined ? expandTopology(run, node.bounded) : [topologyNode(refined(run.context, node.bounded, cutoff))];
    case "control":
      return expandControl(node);
    case "configurations":
      return expandConfigurations(run, node, cutoff);
    case "players":
      return expandPlayers(run, node, cutoff);
    case "assignment":
      return expandAssignment(run, node);
  }
}

/** Expands a topology into its control groups. */
function expandTopology({ context, counts: looked }: SearchState, bounded: BoundedTopology): readonly OpenNode[] {
  const { space } = context;
  const { topology, plugs, bounds, schools } = bounded;
  const { tables } = plugs;
  looked.topologies += 1;
  const limits = remoteLimits(space);
  const open = schools.flatMap((school): Variant[] => {
    const needs = needsOf(space, topology, school, tables);
    const allowed = allowedIn(space, topology, school, tables);
    if (!needs || !assignPlugs(allowed, (plug) => bounds.of(plug))) return [];
    return limits.map((remotes) => ({ school, needs, tables: allowed, remotes }));
  });
  if (open.length === 0) return [];
  // The bound of the hubs' own sources does not depend on control.
  const most = bounded.before + (bounded.own ?? 0);
  return controlGroups(context, topology).map((alike) => {
    const on = groupOf(bounded, open);
    return { kind: "control", alike, on, bound: most + bestOf(alike, on), schools, depth: 2 };
  });
}

const groupOf = (bounded: BoundedTopology, variants: readonly Variant[]): TopologyContext => ({
  bounded,
  variants,
  known: new PlugUpperBounds(),
  atMost: new Map(),
});

/** Upper bound of what players bring in a control group, over all variants. */
const bestOf = (set: Pick<Configuration, "hubs">, on: TopologyContext): number =>
  Math.max(...on.variants.map((one) => playersAtMost(set, on, one) - one.remotes.lost));

/** Expands a control group into configurations, grouped by their return channels. */
function expandControl({ alike, on }: Extract<OpenNode, { kind: "control" }>): readonly OpenNode[] {
  const possible = alike.configurations().filter(({ isPossible }) => isPossible);
  const { bounds } = on.bounded;
  return groupBy(possible, (one) => `${one.control} ${bounds.soundsItself(one)}`).flatMap((configurations) =>
    configurationsLeft(
      configurations.toSorted((a, b) => b.points - a.points),
      groupOf(on.bounded, on.variants),
    ),
  );
}

/** A node for configurations of one control key, the best without players first; none where none are left. */
function configurationsLeft(configurations: readonly Configuration[], on: TopologyContext): readonly OpenNode[] {
  const [first] = configurations;
  if (!first) return [];
  const bound = first.points + on.bounded.before + bestOf(first, on);
  return [{ kind: "configurations", configurations, on, bound, schools: on.bounded.schools, depth: 3 }];
}

/** Upper bound of what players bring on a configuration, using what others of its group have shown: the same on all of them until more is shown. */
function playersAtMost(
  configuration: Pick<Configuration, "hubs">,
  { bounded: { bounds }, known, atMost }: TopologyContext,
  variant: Variant,
): number {
  const last = atMost.get(variant);
  if (last?.version === known.version) return last.worth;
  const { worth } = assignPlugs(variant.tables, (plug) => Math.min(bounds.on(configuration, plug), known.of(plug))) ?? { worth: -Infinity };
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
  const [now] = configurationsLeft(configurations, on);
  if (!first || !now) return [];
  return now.bound <= cutoff ? [now] : [...assignmentsOn(run, first, on), ...configurationsLeft(rest, on)];
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
    const { school, needs, tables, remotes } = one;
    const base = configuration.points + bounded.before - remotes.lost;
    const bound = base + playersAtMost(configuration, on, one);
    if (bound <= incumbent(school) + ALIKE || !canBeMet(bounded.bounds, configuration, rowNeeds, tables)) return [];
    const worth = worths.get(remotes) ?? new PlugValues(context, configuration, known, bounded.bounds, remotes.most);
    worths.set(remotes, worth);
    return [playersOn({ configuration, worth, school, needs, rowNeeds, base, tables, least: NONE_NEEDED }, bound)];
  });
}

/** Solves the assignment as far as the cutoff requires. */
function expandPlayers(run: SearchState, on: AssignmentProblem, cutoff: number): readonly OpenNode[] {
  const found = solveAssignment(on.tables, on.worth, cutoff - on.base, on.least);
  const bound = on.base + (found?.worth ?? -Infinity);
  if (!found || bound <= run.incumbent(on.school) + ALIKE) return [];
  const { plugs, chosen } = found;
  if (!chosen) return [playersOn(on, bound)];
  // Otherwise branch on the kinds of sockets by which the needs are met.
  if (!needsAreMet(on.needs, plugs)) return waysToMeet(on.needs, on.tables).map((least) => playersOn({ ...on, least }, bound));
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
