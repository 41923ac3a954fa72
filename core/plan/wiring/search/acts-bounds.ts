import type { CableEnd } from "@/core/job";
import {
  actsUpperBound,
  type ActsUpperBound,
  type ControlReach,
  controlOffKey,
  controlReachKey,
  controlReachOf,
  mayTakePart,
  type SeenFrom,
} from "../bounds";
import { findPlayer, jobWith, mayPassAsleep, seenAloneFrom, type SocketKind } from "../space";
import type { Topology } from "../topology";
import type { Configuration, PlanContext } from "./configurations";
import type { Plug } from "./plugs";

/** Hubs as they are set, with what is known of their own sources: rows, or at most how many points the main screen's own sound is. */
export interface HubsAsSet extends Pick<Configuration, "hubs"> {
  readonly rows?: Configuration["rows"];
  readonly ownSound?: number;
  /** Its return channels, and whether it passes pictures on asleep, are still open; left out: they are as set. */
  readonly returns?: "open";
}

/** What is known of the sockets of a kind with hubs that are set in some way, or in any. */
interface Spot {
  /** Of players on its control wire, and of those that are not. */
  readonly heard: SeenFrom;
  readonly unheard: SeenFrom;
}

/** Who is on whose control wire with hubs that are set in some way, or in any, and what sockets have been asked about. */
interface Hearing {
  readonly reach: ControlReach;
  readonly isAlone: (socket: CableEnd) => boolean;
  readonly spots: Map<SocketKind, Spot>;
}

/** Upper bounds of the acts of players on a topology; leads for sound change nothing about them. */
export class ActsBounds {
  /** By all of the hubs' settings that matter for it. */
  private readonly hearings = new Map<string, Hearing>();

  constructor(
    private readonly context: PlanContext,
    private readonly topology: Topology,
  ) {}

  /**
   * Upper bound for a plug; null where it is not plugged.
   * @param set the hubs; in any way they can be set where it is null
   * @param takesPart whether its player takes part in control, if it can
   */
  of(set: HubsAsSet | null, { player, kind, wire }: Plug, takesPart: boolean): ActsUpperBound | null {
    if (!kind || !wire) return null;
    const { space } = this.context;
    const { reach, isAlone, spots } = this.hearingOn(set);
    const spot = spots.get(kind) ?? spotOf(reach, isAlone, wire.cable.to);
    spots.set(kind, spot);
    const isHeard = takesPart && wire.cable.controlWire && mayTakePart(findPlayer(space, player));
    return actsUpperBound(space, reach, player, isHeard ? spot.heard : spot.unheard);
  }

  private hearingOn(set: HubsAsSet | null): Hearing {
    const key = set === null ? "any" : set.returns ? `open ${controlOffKey(set.hubs)}` : controlReachKey(set.hubs);
    const found = this.hearings.get(key);
    if (found) return found;
    const { space } = this.context;
    const job = jobWith(space, set?.hubs ?? this.topology.hubs, this.topology.wires);
    const isSet = set !== null && !set.returns;
    const fresh = {
      reach: controlReachOf(space, job, isSet ? "set" : set ? "returns-open" : "open"),
      isAlone: isSet ? seenAloneFrom(space, job) : seenAloneFrom(space, job, mayPassAsleep(space.system)),
      spots: new Map<SocketKind, Spot>(),
    };
    this.hearings.set(key, fresh);
    return fresh;
  }
}

const spotOf = (reach: ControlReach, isAlone: Hearing["isAlone"], socket: CableEnd): Spot => {
  const alone = isAlone(socket);
  return { heard: { ...reach.ofSocket(socket, true), alone }, unheard: { ...reach.ofSocket(socket, false), alone } };
};
