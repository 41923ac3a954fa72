import { effectiveSetting, type Device } from "@/core/device";
import { cableAt, type Cable, type CableEnd, type Job } from "@/core/job";
import { socketKey } from "./sockets";
import { hdmiOut, type WiringSpace } from "./space";
import { isLead, type Wire } from "./wires";

/** What could at best be reached from a socket, were every gate open and every format passed. */
export interface Reach {
  /** The screens that a picture comes to. */
  readonly screens: ReadonlySet<string>;
  /** Whether sound comes to the sound system's speakers, forward or by a return channel. */
  readonly sounds: boolean;
  /** The leads for sound alone that its sound could take, by the sockets into which they lead. */
  readonly leads: ReadonlySet<string>;
}

/**
 * Whether a player can be watched on the main screen while the sound system sleeps: its picture does not pass it, or it passes pictures on
 * in stand-by.
 */
export function isSeenAlone(space: WiringSpace, job: Job, player: Device): boolean {
  const plug = hdmiOut(player);
  const start = plug && cableAt(job, { device: player.id, port: plug.id });
  return start !== undefined && seenAloneFrom(space, job)(start.to);
}

/** The same of whoever sits in a socket. */
export function seenAloneFrom(
  { system, mainScreen }: WiringSpace,
  { devices, cables }: Pick<Job, "devices" | "cables">,
): (socket: CableEnd) => boolean {
  const passes = effectiveSetting(system, "standby-pass", "planned") === "on";
  const awake = devices.filter(({ id }) => passes || id !== system.id || id === mainScreen);
  const byId = new Map(awake.map((device) => [device.id, device]));
  const far = farEnds(cables);
  return (socket) => mainScreen !== null && reached(byId, far, socket, "picture").ends.has(mainScreen);
}

interface FarEnd {
  readonly end: CableEnd;
  readonly cable: Cable;
}

/** For each socket the other end of its cable. */
const farEnds = (cables: readonly Cable[]): ReadonlyMap<string, FarEnd> =>
  // Sound may come back along a cable, so each end knows the other.
  new Map(
    cables.flatMap((cable): [string, FarEnd][] => [
      [socketKey(cable.from), { end: cable.to, cable }],
      [socketKey(cable.to), { end: cable.from, cable }],
    ]),
  );

/** Hubs with the wires between them. */
interface Joined {
  readonly hubs: readonly Device[];
  readonly wires: readonly Wire[];
}

/** Asks what is reached from an input of a hub, by its cables and by what is joined inside the devices. */
export function reachOf(space: WiringSpace, { hubs, wires }: Joined): (socket: CableEnd) => Reach {
  const devices = new Map([...hubs, ...space.fixedDevices].map((device) => [device.id, device]));
  const far = farEnds([...space.fixedCables, ...wires.map(({ cable }) => cable)]);
  const known = new Map<string, Reach>();
  const reachFrom = (socket: CableEnd): Reach => {
    const { ends, leads } = reached(devices, far, socket, "sound");
    return { screens: reached(devices, far, socket, "picture").ends, sounds: ends.has(space.system.id), leads };
  };
  return (socket) => {
    const key = socketKey(socket);
    const found = known.get(key) ?? reachFrom(socket);
    known.set(key, found);
    return found;
  };
}

/** The devices at whose end a route of a kind comes out, on the display or from the speakers, and the leads for sound alone on the way. */
function reached(
  devices: ReadonlyMap<string, Device>,
  far: ReadonlyMap<string, FarEnd>,
  socket: CableEnd,
  kind: "picture" | "sound",
): { readonly ends: ReadonlySet<string>; readonly leads: ReadonlySet<string> } {
  const ends = new Set<string>();
  const leads = new Set<string>();
  const seen = new Set<string>();
  const visit = (at: CableEnd) => {
    const key = socketKey(at);
    if (seen.has(key)) return;
    seen.add(key);
    for (const route of devices.get(at.device)?.routes ?? []) {
      if (route.kind !== kind || !route.from.includes(at.port)) continue;
      for (const to of route.to) {
        if (to === "display" || to === "speakers") ends.add(at.device);
        else {
          const next = far.get(socketKey({ device: at.device, port: to }));
          if (!next) continue;
          if (isLead(next.cable)) leads.add(socketKey(next.end));
          visit(next.end);
        }
      }
    }
  };
  visit(socket);
  return { ends, leads };
}
