import type { School, Topology } from "../topology";
import { PlugBounds } from "./plug-bounds";
import { effortPoints, remotePoints } from "../evaluation";
import type { PlanContext } from "./configurations";
import { topologyEffort } from "./plan-draft";
import { assignPlugs, playersUpperBound } from "./plug-assignment";
import { plugsOf, type Plugs } from "./plugs";
import { reachOf } from "../space";

/** A topology that is still to be looked at. */
export interface BoundedTopology {
  readonly topology: Topology;
  readonly plugs: Plugs;
  readonly schools: readonly School[];
  /** Its points without any configuration and any player: what it costs. */
  readonly before: number;
  /** At most so much comes of what the hubs play themselves, once it was looked into. */
  readonly own: number | null;
  readonly bounds: PlugBounds;
  /** No plan on it can have more points. */
  readonly bound: number;
  /** The bound knows what can come along the ways of its sound, and who hears whom. */
  readonly isRefined: boolean;
}

/** A topology with its plugs and the bound that their reach gives. */
export function boundTopology(context: PlanContext, topology: Topology, schools: readonly School[]): BoundedTopology {
  const { space, weights } = context;
  const plugs = plugsOf(context, topology);
  const before = easeWithoutPlayers(context) + remotePoints(space) - effortPoints(topologyEffort(space, topology), weights);
  const bound = before + plugs.ownMost + plugs.roughly;
  return { topology, plugs, schools, before, own: null, bounds: new PlugBounds(context, topology), bound, isRefined: false };
}

/**
 * A topology looked into as far as it takes to see that it brings no more than a cutoff, or else all of its best assignment: at first who
 * has room where by what the sockets reach, then what can come along the ways of its sound.
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

/** Where no player is planned nobody wakes, and the acts are not bounded by any. */
const easeWithoutPlayers = ({ space, weights }: PlanContext): number => (space.players.length === 0 ? weights.ease : 0);
