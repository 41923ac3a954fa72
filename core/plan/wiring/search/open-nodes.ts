import type { RemoteLimit } from "../evaluation";
import type { School } from "../topology";
import type { BoundedTopology } from "./bounded-topology";
import type { Configuration, PlanContext } from "./configurations";
import type { GroupBounds } from "./group-bounds";
import type { PlayerOption } from "./judge-plug";
import type { WiringPlan } from "./plan-draft";
import type { PlugValues } from "./plug-values";
import type { Plug } from "./plugs";
import type { RowNeed } from "./row-needs";
import type { Placing, Variant } from "./school-needs";
import type { SettingGroup } from "./setting-group";

/**
 * An open node of the search, from coarse to fine: a topology; all of its configurations with the same hubs on the bus; those where control is
 * the same; configurations in turn; players to assign on one; an assignment.
 */
export type OpenNode = TopologyNode | SettingNode<"bus"> | ControlNode | ConfigurationsNode | PlayersNode | AssignmentNode;

interface Bounded<Kind extends string> {
  readonly kind: Kind;
  /** Upper bound of the points of every plan below it. */
  readonly bound: number;
  /** The schools that plans below it can belong to. */
  readonly schools: readonly School[];
  /** Its level in the tree; deeper nodes first among equal bounds. */
  readonly depth: number;
}

interface TopologyNode extends Bounded<"topology"> {
  readonly bounded: BoundedTopology;
}

export interface SettingNode<Kind extends string> extends Bounded<Kind> {
  readonly group: SettingGroup;
  readonly on: SearchedTopology;
}

export interface ControlNode extends SettingNode<"control"> {
  readonly bounds: GroupBounds;
  /** The bound includes what its settings let through. */
  readonly isRefined: boolean;
}

export interface ConfigurationsNode extends Bounded<"configurations"> {
  /** The one that brings most without players first. */
  readonly configurations: readonly Configuration[];
  readonly on: SearchedTopology;
  readonly bounds: GroupBounds;
  readonly worths: readonly VariantWorth[];
}

export type PlayersNode = Bounded<"players"> & AssignmentProblem;

export interface AssignmentNode extends Bounded<"assignment"> {
  readonly on: AssignmentProblem;
  readonly plugs: readonly Plug[];
  readonly chosen: readonly PlayerOption[];
}

/** A topology whose plans are searched for one school. */
export interface SearchedTopology {
  readonly bounded: BoundedTopology;
  readonly variants: readonly LimitedVariant[];
  /** Upper bound of the hubs' own sources. */
  readonly own: number;
}

/** A variant with a limit of remotes. */
export interface LimitedVariant extends Variant {
  readonly remotes: RemoteLimit;
}

/** Upper bound of what a topology and its players bring by a variant, on the configurations of a node. */
export interface VariantWorth {
  readonly variant: LimitedVariant;
  readonly worth: number;
}

/** The assignment problem of a configuration for one school. */
export interface AssignmentProblem extends Placing {
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

export const topologyNode = (bounded: BoundedTopology): TopologyNode => ({
  kind: "topology",
  bounded,
  bound: bounded.bound,
  schools: bounded.schools,
  depth: Number(bounded.stage.kind === "whole"),
});

export const playersOn = (on: AssignmentProblem, bound: number): PlayersNode => ({
  kind: "players",
  ...on,
  bound,
  schools: [on.school],
  depth: 5,
});
