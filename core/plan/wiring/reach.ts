import type { Device } from "@/core/device";
import type { Cable, CableEnd } from "@/core/job";
import type { Backbone } from "./backbones";
import { socketKey } from "./sockets";
import type { WiringSpace } from "./space";

/** What could at best be reached from a socket, were every gate open and every format passed. */
export interface Reach {
  /** The screens that a picture comes to. */
  readonly screens: ReadonlySet<string>;
  /** Whether sound comes to the sound system's speakers, forward or by a return channel. */
  readonly sounds: boolean;
}

/** Asks what is reached from an input of a hub of a backbone, by its cables and by what is joined inside the devices. */
export function reachOf(space: WiringSpace, { hubs, wires }: Backbone): (socket: CableEnd) => Reach {
  const devices = new Map([...hubs, ...space.fixedDevices].map((device) => [device.id, device]));
  const far = new Map<string, CableEnd>();
  const join = ({ from, to }: Cable) => {
    far.set(socketKey(from), to);
    // Sound may come back along it.
    far.set(socketKey(to), from);
  };
  space.fixedCables.forEach(join);
  wires.forEach(({ cable }) => join(cable));
  return (socket) => ({
    screens: reached(devices, far, socket, "picture"),
    sounds: reached(devices, far, socket, "sound").has(space.system.id),
  });
}

/** The devices at whose end a route of a kind comes out: on the display, or from the speakers. */
function reached(
  devices: ReadonlyMap<string, Device>,
  far: ReadonlyMap<string, CableEnd>,
  socket: CableEnd,
  kind: "picture" | "sound",
): ReadonlySet<string> {
  const ends = new Set<string>();
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
          if (next) visit(next);
        }
      }
    }
  };
  visit(socket);
  return ends;
}
