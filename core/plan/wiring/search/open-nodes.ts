import { groupBy } from "../space";
import { controlGroups, type Configuration, type ControlGroup, type PlanContext } from "./configurations";
import { draftOf, type WiringPlan } from "./plan-draft";
import { type RemoteLimit, remoteLimits } from "../evaluation";
import { ALIKE, assignPlugs, solveAssignment, partition, PlugValues, type PlugUpperBounds } from "./plug-assignment";
import type { Plug } from "./plugs";
import type { School } from "../topology";
import type { PlayerOption } from "./judge-plug";
import { allowedIn, needsAreMet, choicesMeeting, needsOf, type Need, type PlugTables } from "./school-needs";
import { refined, type BoundedTopology } from "./bounded-topology";

/** What is still to be looked at, from the roughest on: a topology, its hubs as they are set, players to be assigned there, players that are. */
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
  /** No plan that comes of it has more points. */
  readonly bound: number;
  /** The schools that plans which come of it can be of. */
  readonly schools: readonly School[];
  /** The greater, the further it is worked out. */
  readonly depth: number;
}

/** What configurations of a topology share on which control goes alike. */
interface TopologyContext {
  readonly bounded: BoundedTopology;
  readonly variants: readonly Variant[];
  /** What is known of plugs where control goes alike. */
  readonly known: PlugUpperBounds;
}

/** A way in which plans of a topology can be: of a school, with so many remotes. */
interface Variant {
  readonly school: School;
  /** What the school and the boxes need of the players. */
  readonly needs: readonly Need[];
  readonly tables: PlugTables;
  readonly remotes: RemoteLimit;
}

/** Players to be assigned on a configuration, for a school. */
interface AssignmentProblem extends Pick<Variant, "school" | "needs" | "tables"> {
  readonly configuration: Configuration;
  readonly worth: PlugValues;
  /** The points of a plan before its players. */
  readonly base: number;
}

/** A search under way, as far as its steps need it. */
export interface SearchState {
  readonly context: PlanContext;
  readonly best: ReadonlyMap<School, WiringPlan>;
  /** How many topologies were looked at configuration by configuration, and how many assignments were settled on them. */
  readonly counts: { topologies: number; settled: number };
  /** Keeps a room that was played, where it is the best plan of its school so far, and gives it back where it is a plan at all. */
  readonly keep: (room: WiringPlan | null) => WiringPlan | null;
  /** What a plan of a school has to beat. */
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
 * Takes a node no further than it takes to see that it brings less than the next one, which is then taken first; gives what is left of it.
 * @param next the bound of the node after it
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

/** The configurations of a topology, with what its schools need of the players. */
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
  // What the hubs play themselves brings the same at most, however control is set.
  const most = bounded.before + (bounded.own ?? 0);
  return controlGroups(context, topology).map((alike) => {
    const on: TopologyContext = { bounded, variants: open, known: new Map() };
    return { kind: "control", alike, on, bound: most + bestOf(alike, on), schools, depth: 2 };
  });
}

/** At most so much players bring on hubs that are set so, in whatever school. */
const bestOf = (set: Pick<Configuration, "hubs">, on: TopologyContext): number =>
  Math.max(...on.variants.map((one) => playersAtMost(set, on, one) - one.remotes.lost));

/** The configurations of hubs whose control switches stand alike, told apart by their return channels. */
function expandControl({ alike, on }: Extract<OpenNode, { kind: "control" }>): readonly OpenNode[] {
  const possible = alike.configurations().filter(({ isPossible }) => isPossible);
  return groupBy(possible, ({ control }) => control).flatMap((configurations) =>
    configurationsLeft(
      configurations.toSorted((a, b) => b.points - a.points),
      { ...on, known: new Map() },
    ),
  );
}

/** Configurations on which control goes alike, the best before its players first; none where there are none left. */
function configurationsLeft(configurations: readonly Configuration[], on: TopologyContext): readonly OpenNode[] {
  const [first] = configurations;
  if (!first) return [];
  const bound = first.points + on.bounded.before + bestOf(first, on);
  return [{ kind: "configurations", configurations, on, bound, schools: on.bounded.schools, depth: 3 }];
}

/** At most so much players bring on a configuration, by what was worked out on others on which control goes alike. */
function playersAtMost(configuration: Pick<Configuration, "hubs">, { bounded, known }: TopologyContext, { tables }: Variant): number {
  const { bounds } = bounded;
  return assignPlugs(tables, (plug) => Math.min(bounds.on(configuration, plug), known.get(plug) ?? Infinity))?.worth ?? -Infinity;
}

/** Opens the first of some configurations, unless what was worked out since shows that something else could bring more. */
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

/** Players to be assigned on a configuration, for every school that could win there. */
function assignmentsOn(
  { context, incumbent: incumbent }: SearchState,
  configuration: Configuration,
  on: TopologyContext,
): readonly OpenNode[] {
  const { bounded, variants: open, known } = on;
  const worths = new Map<RemoteLimit, PlugValues>();
  return open.flatMap((one) => {
    const { school, needs, tables, remotes } = one;
    const base = configuration.points + bounded.before - remotes.lost;
    const bound = base + playersAtMost(configuration, on, one);
    if (bound <= incumbent(school) + ALIKE) return [];
    const worth = worths.get(remotes) ?? new PlugValues(context, configuration, known, bounded.bounds, remotes.most);
    worths.set(remotes, worth);
    return [playersOn({ configuration, worth, school, needs, base, tables }, bound)];
  });
}

/** So many settled assignments wait until nothing else could bring more; then one is played at once, so that there is something to beat. */
const PLAY_EVERY = 8;

/** Players assigned on a configuration as far as the cutoff asks. */
function expandPlayers(run: SearchState, on: AssignmentProblem, cutoff: number): readonly OpenNode[] {
  const found = solveAssignment(on.tables, on.worth, cutoff - on.base);
  const bound = on.base + (found?.worth ?? -Infinity);
  if (!found || bound <= run.incumbent(on.school) + ALIKE) return [];
  const { plugs, chosen } = found;
  if (!chosen) return [playersOn(on, bound)];
  // Else the best of every choice of players that are made to meet what is needed.
  if (!needsAreMet(on.needs, plugs)) return choicesMeeting(on.needs, on.tables).map((tables) => playersOn({ ...on, tables }, bound));
  const node = { kind: "assignment", on, plugs, chosen, bound, schools: [on.school], depth: 5 } as const;
  const isDue = run.counts.settled % PLAY_EVERY === 0;
  run.counts.settled += 1;
  return isDue ? expandAssignment(run, node) : [node];
}

/** Plays an assignment through the full engine, where it can be predicted that it is the best of its school so far, and gives what is left beside it. */
function expandAssignment(run: SearchState, { on, plugs, chosen, bound }: Extract<OpenNode, { kind: "assignment" }>): readonly OpenNode[] {
  const { school, configuration, tables } = on;
  const left = () => partition(tables, plugs).map((rest) => playersOn({ ...on, tables: rest }, bound));
  const draft = draftOf(run.context, configuration, school, chosen);
  const estimate = draft?.estimate();
  if (!draft || !estimate || estimate.points <= (run.best.get(school)?.points ?? -Infinity) + ALIKE) return left();
  const plan = run.keep(draft.plan());
  return plan && plan.points >= bound - ALIKE ? [] : left();
}
