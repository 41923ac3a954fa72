import type { CableEnd } from "@/core/job";
import {
  actsUpperBound,
  type ActsUpperBound,
  type ControlReach,
  controlOffKey,
  controlReachKey,
  controlReachOf,
  mayTakePart,
} from "../bounds";
import { jobWith, mayPassAsleep, seenAloneFrom } from "../space";
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

/** Upper bound of the acts of a player in a socket. */
export interface ActsOfPlug extends ActsUpperBound {
  /** It can be watched while the sound system sleeps. */
  readonly alone: boolean;
}

/** Who is on whose control wire with hubs that are set in some way, or in any, and what plugs have been asked about. */
interface Hearing {
  readonly reach: ControlReach;
  readonly isAlone: (socket: CableEnd) => boolean;
  /** For a player that takes part in control, and for one that does not. */
  readonly asked: { readonly takingPart: Map<Plug, ActsOfPlug>; readonly apart: Map<Plug, ActsOfPlug> };
}

/** Upper bounds of the acts of players on a topology. */
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
  of(set: HubsAsSet | null, plug: Plug, takesPart: boolean): ActsOfPlug | null {
    const { reach, isAlone, asked } = this.hearingOn(set);
    const known = takesPart ? asked.takingPart : asked.apart;
    const found = known.get(plug);
    if (found) return found;
    const { space } = this.context;
    const { wire } = plug;
    const player = space.players.find(({ id }) => id === plug.player);
    if (!player || !wire) return null;
    const { to, controlWire } = wire.cable;
    const reached = reach.ofSocket(to, takesPart && controlWire && mayTakePart(player));
    const fresh = { ...actsUpperBound(space, reach, player, reached), alone: isAlone(to) };
    known.set(plug, fresh);
    return fresh;
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
      asked: { takingPart: new Map<Plug, ActsOfPlug>(), apart: new Map<Plug, ActsOfPlug>() },
    };
    this.hearings.set(key, fresh);
    return fresh;
  }
}
