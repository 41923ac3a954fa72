import { type OpenTopology, type School, schoolsOf, schoolsOfOpen, schoolsWanted, type Topology } from "../topology";
import { PlugBounds } from "./plug-bounds";
import { effortPoints, remotePoints } from "../evaluation";
import type { PlanContext } from "./configurations";
import { topologyEffort } from "./plan-draft";
import { assignPlugs, refinedWorth, variantUpperBound } from "./plug-assignment";
import { type Plug, plugsOf, type Plugs } from "./plugs";
import { anywhere, type Variant, variantOf } from "./school-needs";
import { type SettingGroup, settingsOf } from "./setting-group";
import { reachOf } from "../space";

/** A topology with its upper bound, for some schools or for one of them. */
export interface BoundedTopology {
  readonly topology: Topology;
  readonly plugs: Plugs;
  readonly schools: readonly School[];
  /** Its points without configuration and players: what it costs. */
  readonly before: number;
  readonly bounds: PlugBounds;
  /** All that its hubs can be set to. */
  readonly settings: () => SettingGroup;
  /** Upper bound of the points of every plan on it. */
  readonly bound: number;
  /** How far the bound is refined. */
  readonly stage: Stage;
}

/**
 * With its leads for sound still open: as if each that there could be were laid for nothing, then with the room in its sockets. Completed: by
 * the reach of the sockets, as if each had room for all; for one school, with the room in them; and with what can pass along the paths of
 * sound, and who is on whose control wire.
 */
type Stage =
  | { readonly kind: "open"; readonly topology: OpenTopology; readonly isFitted: boolean }
  | { readonly kind: "rough" }
  | { readonly kind: "placed"; readonly variant: Variant; readonly own: number | null }
  | { readonly kind: "whole"; readonly variant: Variant; readonly own: number };

/** Topologies with the same HDMI wires, bounded together. */
export function boundOpenTopology(context: PlanContext, topology: OpenTopology): BoundedTopology {
  const { boxes, hubs, wires, leadsThere } = topology;
  const possible = schoolsOfOpen(context.space, topology);
  const schools = schoolsWanted(context.space).filter((school) => possible.includes(school));
  // A lead that is there costs less where it stays.
  const before = pointsBefore(context, { boxes, hubs, wires: [...wires, ...leadsThere] });
  return { ...boundTopology(context, topology, schools, before), stage: { kind: "open", topology, isFitted: false } };
}

/** What a topology costs, and what there is without players. */
const pointsBefore = (context: PlanContext, topology: Topology): number =>
  easeWithoutPlayers(context) + remotePoints(context.space) - effortPoints(topologyEffort(context.space, topology), context.weights);

/** A topology with its plugs, bounded by the reach of its sockets. */
export function boundTopology(
  context: PlanContext,
  topology: Topology,
  schools: readonly School[],
  before = pointsBefore(context, topology),
): BoundedTopology {
  const plugs = plugsOf(context, topology);
  const bound = before + plugs.ownMost + plugs.roughly;
  let settings: SettingGroup | undefined;
  return {
    topology,
    plugs,
    schools,
    before,
    bounds: new PlugBounds(context, topology),
    settings: () => (settings ??= settingsOf(context, topology)),
    bound,
    stage: { kind: "rough" },
  };
}

/**
 * Refines the bound of a topology by one stage, the last one until it is at or below the cutoff or every plug of the best assignments is
 * refined. The first splits it by schools; those that no plan on it can be of are left out.
 */
export function refined(context: PlanContext, bounded: BoundedTopology, cutoff: number): readonly BoundedTopology[] {
  const { space, most } = context;
  const { topology, plugs, schools, bounds, before, stage } = bounded;
  if (stage.kind === "open") return completed(context, bounded, stage, cutoff);
  if (stage.kind === "rough")
    return schools.flatMap((school): readonly BoundedTopology[] => {
      const variant = variantOf(space, topology, school, plugs);
      const found = variant && assignPlugs(variant.relaxed, (plug) => bounds.of(plug));
      if (!found) return [];
      const bound = before + plugs.ownMost + found.worth;
      return [{ ...bounded, schools: [school], bound, stage: { kind: "placed", variant, own: null } }];
    });
  const own = stage.own ?? most.ofOwn(topology.hubs, reachOf(space, topology), bounds.passing.soundOfOwn);
  const { variant } = stage;
  const limit = cutoff - before - own;
  const bound = before + own + variantUpperBound(variant, limit, (placing) => refinedWorth(placing, bounds.staged(placing.tables), limit));
  // What is still above the cutoff was refined to the end.
  return [{ ...bounded, bound, stage: { kind: bound > cutoff ? "whole" : "placed", variant, own } }];
}

/** Completes open topologies by their leads for sound, unless their bound with the room in their sockets is at or below the cutoff. */
function completed(
  context: PlanContext,
  bounded: BoundedTopology,
  stage: Extract<Stage, { kind: "open" }>,
  cutoff: number,
): readonly BoundedTopology[] {
  const { plugs, bounds, before, schools } = bounded;
  const worth = (of: (plug: Plug) => number) => before + plugs.ownMost + (assignPlugs(anywhere(plugs.tables), of)?.worth ?? -Infinity);
  if (!stage.isFitted) {
    const roomy = worth(({ most }) => most);
    const bound = roomy <= cutoff ? roomy : worth((plug) => bounds.byControl(plug));
    if (bound <= cutoff) return bound === -Infinity ? [] : [{ ...bounded, bound, stage: { ...stage, isFitted: roomy > cutoff } }];
  }
  return [...stage.topology.completed()].flatMap((topology) => {
    const own = schoolsOf(context.space, topology).filter((school) => schools.includes(school));
    return own.length ? [boundTopology(context, topology, own)] : [];
  });
}

export const hasSound = ({ plugs }: BoundedTopology): boolean => plugs.sounds;

/** Without players no act is bounded by one, so all of their ease counts. */
const easeWithoutPlayers = ({ space, weights }: PlanContext): number => (space.players.length === 0 ? weights.ease : 0);
