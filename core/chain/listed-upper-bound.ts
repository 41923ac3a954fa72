import { isTurning, type Device, type Port, type Presents, type SoundRoute } from "@/core/device";
import type { Coding } from "@/core/facts";
import { endKey, type CableEnd } from "@/core/job";
import { isAt, type Rig } from "./rig";
import { common, fixedList, handedOn, listOf, takenForGranted, told, type Listed } from "./listing";

/** The most that could be listed: each coding with the most channels; null: anything could. */
export type ListedUpperBound = ReadonlyMap<Coding, Listed> | null;

const NOTHING: ListedUpperBound = new Map();

/** What a device could see listed at its own sockets at most: at one of them, and what is common to several. */
interface Seen {
  readonly at: (port: string) => ListedUpperBound;
  readonly common: (ports: readonly string[]) => ListedUpperBound;
}

/**
 * The most that could be seen listed at a socket as everything is plugged, whatever is set: every rule counts by which a device could present a
 * list there, and what nobody knows could list anything. Never less than `listingAt` gives for any choice of settings.
 */
export function listedUpperBoundAt(rig: Rig, exit: CableEnd, met: ReadonlySet<string> = new Set()): ListedUpperBound {
  const port = rig.port(exit);
  const cable = rig.cableAt(exit);
  // A tree of boxes that asks itself in a circle gets an empty list.
  if (!port || !cable || met.has(endKey(exit))) return NOTHING;
  if (port.connector !== "hdmi") return takenForGranted(port).sounds;
  const end = isAt(cable.from, exit) ? cable.to : cable.from;
  const far = rig.atWill(end.device);
  if (!far) return NOTHING;
  const seen = asPlugged(rig, far, new Set([...met, endKey(exit)]));
  return isAt(cable.from, exit) ? presented(far, end.port, seen) : reported(far, end.port, seen);
}

function asPlugged(rig: Rig, { id: device }: Device, met: ReadonlySet<string>): Seen {
  const at = (port: string) => listedUpperBoundAt(rig, { device, port }, met);
  return {
    at,
    common: (ports) => {
      const plugged = ports.filter((port) => rig.cableAt({ device, port }));
      const known = plugged.flatMap((port) => at(port) ?? []);
      return known.length === 0 && plugged.length > 0 ? null : common(known.map((sounds) => ({ sounds, unknown: null }))).sounds;
    },
  };
}

/** The most that could be seen listed at any HDMI socket of a room, however everything is plugged and set. */
interface ListedAnywhere {
  /** At an output, of what is behind it. */
  readonly ahead: ListedUpperBound;
  /** At a return socket, of what takes its sound. */
  readonly back: ListedUpperBound;
}

/** Devices are never changed in place, so what they could list is gathered once. */
const gathered = new WeakMap<readonly Device[], ListedAnywhere>();

/** The most that could be seen listed at a socket of one of these devices, however they are plugged and set. */
export function listedAnywhereAt(devices: readonly Device[], port: Port): ListedUpperBound {
  if (port.connector !== "hdmi") return takenForGranted(port).sounds;
  const known = gathered.get(devices) ?? gather(devices);
  gathered.set(devices, known);
  return seenAt(known, port);
}

const seenAt = ({ ahead, back }: ListedAnywhere, port: Port): ListedUpperBound =>
  port.direction === "in" ? back : isTurning(port) ? either(ahead, back) : ahead;

/** What one device copies from another may be copied from it again, so it is gathered until nothing is new. */
function gather(devices: readonly Device[]): ListedAnywhere {
  let found: ListedAnywhere = { ahead: NOTHING, back: NOTHING };
  for (;;) {
    const next = devices.reduce((all, device) => withListsOf(device, all), found);
    if (wordsOf(next) === wordsOf(found)) return found;
    found = next;
  }
}

function withListsOf(device: Device, found: ListedAnywhere): ListedAnywhere {
  const at = (id: string): ListedUpperBound => {
    const port = device.ports.find((one) => one.id === id);
    return port?.connector === "hdmi" ? seenAt(found, port) : port ? takenForGranted(port).sounds : NOTHING;
  };
  const seen: Seen = { at, common: (ports) => ports.map(at).reduce(either, NOTHING) };
  let { ahead, back } = found;
  for (const port of device.ports) {
    if (port.connector !== "hdmi") continue;
    if (port.direction === "in" || isTurning(port)) ahead = either(ahead, presented(device, port.id, seen));
    if (port.direction === "out" && port.returns !== "none") back = either(back, reported(device, port.id, seen));
  }
  return { ahead, back };
}

const wordsOf = ({ ahead, back }: ListedAnywhere): string => JSON.stringify([ahead && [...ahead].sort(), back && [...back].sort()]);

/** What a device could report at its end of a return channel: by its rule for that socket, else its own decoders. */
const reported = (device: Device, port: string, seen: Seen): ListedUpperBound =>
  device.presents.some((row) => row.ports.includes(port)) ? presented(device, port, seen) : decodersOf(device);

function presented(device: Device, port: string, seen: Seen): ListedUpperBound {
  let most: ListedUpperBound = NOTHING;
  for (const rule of device.presents) {
    if (!rule.ports.includes(port)) continue;
    most = either(most, byRule(device, port, rule, seen));
    // After a rule that always counts none is asked.
    if (rule.when.length === 0) break;
  }
  return most;
}

function byRule(device: Device, port: string, rule: Presents, seen: Seen): ListedUpperBound {
  switch (rule.rule) {
    case "decoders":
      return decodersOf(device);
    case "copy":
      return seen.at(rule.of);
    case "common":
      return seen.common(rule.of);
    case "list": {
      if (rule.sound === null) return null;
      const own = fixedList(rule.sound).sounds;
      return rule.widenedBy && rule.widenedBy !== port ? either(own, added(device, port, rule.widenedBy, seen)) : own;
    }
  }
}

/** What a device can add of the far end of its return channel. */
function added(device: Device, port: string, returnPort: string, seen: Seen): ListedUpperBound {
  const route = device.routes.find(
    (row): row is SoundRoute => row.kind === "sound" && row.from.includes(port) && row.to.includes(returnPort),
  );
  if (!route) return NOTHING;
  const far = seen.at(returnPort);
  return far && route.passes && listOf(handedOn(far, route.passes, route.lpcm)).sounds;
}

const decodersOf = ({ decodes }: Device): ListedUpperBound => decodes && told(decodes).sounds;

/** Whatever one of two lists holds. */
function either(a: ListedUpperBound, b: ListedUpperBound): ListedUpperBound {
  if (a === NOTHING || b === null) return b;
  if (b === NOTHING) return a;
  return a && listOf([...a, ...b].map(([coding, row]) => ({ coding, ...row }))).sounds;
}
