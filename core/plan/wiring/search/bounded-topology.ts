import type { School, Topology } from "../topology";
import { PlugBounds } from "./plug-bounds";
import { effortPoints, remotePoints } from "../evaluation";
import type { PlanContext } from "./configurations";
import { topologyEffort } from "./plan-draft";
import { assignPlugs, playersUpperBound } from "./plug-assignment";
import { plugsOf, type Plugs } from "./plugs";
import { reachOf } from "../space";

/** A topology with its upper bound. */
export interface BoundedTopology {
  readonly topology: Topology;
  readonly plugs: Plugs;
  readonly schools: readonly School[];
  /** Its points without configuration and players: what it costs. */
  readonly before: number;
  /** Upper bound of the hubs' own sources, once computed. */
  readonly own: number | null;
  readonly bounds: PlugBounds;
  /** Upper bound of the points of every plan on it. */
  readonly bound: number;
  /** The bound includes what can pass along the paths of sound, and who is on whose control wire. */
  readonly isRefined: boolean;
}

/** A topology with its plugs, bounded by the reach of its sockets. */
export function boundTopology(context: PlanContext, topology: Topology, schools: readonly School[]): BoundedTopology {
  const { space, weights } = context;
  const plugs = plugsOf(context, topology);
  const before = easeWithoutPlayers(context) + remotePoints(space) - effortPoints(topologyEffort(space, topology), weights);
  const bound = before + plugs.ownMost + plugs.roughly;
  return { topology, plugs, schools, before, own: null, bounds: new PlugBounds(context, topology), bound, isRefined: false };
}

/**
 * Refines the bound of a topology until it is at or below the cutoff, or every plug of its best assignment is refined: first with the room
 * in its sockets, then with what can pass along the paths of sound.
 */
export function refined({ space, most }: PlanContext, bounded: BoundedTopology, cutoff: number): BoundedTopology {
  const { topology, plugs, bounds, before } = bounded;
  if (bounded.own === null) {
    const players = assignPlugs(plugs.tables, (plug) => bounds.of(plug))?.worth ?? -Infinity;
    const bound = before + plugs.ownMost + players;
    if (bound <= cutoff) return { ...bounded, bound };
  }
  const own = bounded.own ?? most.ofOwn(topology.hubs, reachOf(space, topology), bounds.ownSounds);
  const { worth, isWhole } = playersUpperBound(plugs.tables, bounds, cutoff - before - own);
  return { ...bounded, own, bound: before + own + worth, isRefined: isWhole };
}

export const hasSound = ({ plugs }: BoundedTopology): boolean => plugs.sounds;

/** Without players no act is bounded by one, so all of their ease counts. */
const easeWithoutPlayers = ({ space, weights }: PlanContext): number => (space.players.length === 0 ? weights.ease : 0);
