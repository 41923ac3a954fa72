import type { Backbone } from "./backbones";
import { Caps } from "./caps";
import { effortPoints } from "./effort";
import type { Measure } from "./grounds";
import { backboneEffort } from "./make-plan";
import { remotePoints } from "./musts";
import { assign, mostOfPlayers } from "./nodes";
import { plugsOf, type Plugs } from "./plugs";
import { reachOf } from "./reach";
import type { School } from "./schools";

/** A backbone that is still to be looked at. */
export interface Waiting {
  readonly backbone: Backbone;
  readonly plugs: Plugs;
  readonly schools: readonly School[];
  /** Its points without any ground and any player: what it costs. */
  readonly before: number;
  /** At most so much comes of what the hubs play themselves, once it was looked into. */
  readonly own: number | null;
  readonly caps: Caps;
  /** No plan on it can have more points. */
  readonly bound: number;
  /** The bound knows what can come along the ways of its sound, and who hears whom. */
  readonly isLookedInto: boolean;
}

/** A backbone with its plugs and the bound that their reach gives. */
export function waitingOf(measure: Measure, backbone: Backbone, schools: readonly School[]): Waiting {
  const { space, weights } = measure;
  const plugs = plugsOf(measure, backbone);
  const before = easeWithoutPlayers(measure) + remotePoints(space) - effortPoints(backboneEffort(space, backbone), weights);
  const bound = before + plugs.ownMost + plugs.roughly;
  return { backbone, plugs, schools, before, own: null, caps: new Caps(measure, backbone), bound, isLookedInto: false };
}

/**
 * A backbone looked into as far as it takes to see that it brings no more than a floor, or else all of its best assignment: at first who
 * has room where by what the sockets reach, then what can come along the ways of its sound.
 */
export function lookedInto({ space, most }: Measure, waiting: Waiting, floor: number): Waiting {
  const { backbone, plugs, caps, before } = waiting;
  if (waiting.own === null) {
    const players = assign(plugs.tables, (plug) => caps.of(plug))?.worth ?? -Infinity;
    const bound = before + plugs.ownMost + players;
    if (bound <= floor) return { ...waiting, bound };
  }
  const own = waiting.own ?? most.ofOwn(backbone.hubs, reachOf(space, backbone), caps.ownSounds);
  const { worth, isWhole } = mostOfPlayers(plugs.tables, caps, floor - before - own);
  return { ...waiting, own, bound: before + own + worth, isLookedInto: isWhole };
}

export const hasSound = ({ plugs }: Waiting): boolean => plugs.sounds;

/** Where no player is planned nobody wakes, and the acts are not bounded by any. */
const easeWithoutPlayers = ({ space, weights }: Measure): number => (space.players.length === 0 ? weights.ease : 0);
