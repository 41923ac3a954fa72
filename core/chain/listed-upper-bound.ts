import type { Device, Presents, SoundRoute } from "@/core/device";
import type { Coding } from "@/core/facts";
import { endKey, type CableEnd } from "@/core/job";
import { isAt, type Rig } from "./rig";
import { common, fixedList, handedOn, listOf, takenForGranted, told, type Listed } from "./listing";

/** The most that could be listed: each coding with the most channels; null: anything could. */
export type ListedUpperBound = ReadonlyMap<Coding, Listed> | null;

const NOTHING: ListedUpperBound = new Map();

/**
 * The most that could be seen listed at a socket, whatever is set: every rule counts by which a device could present a list there, and
 * what nobody knows could list anything. Never less than `listingAt` gives for any choice of settings.
 */
export function listedUpperBoundAt(rig: Rig, exit: CableEnd, met: ReadonlySet<string> = new Set()): ListedUpperBound {
  const port = rig.port(exit);
  const cable = rig.cableAt(exit);
  // A tree of boxes that asks itself in a circle gets an empty list.
  if (!port || !cable || met.has(endKey(exit))) return NOTHING;
  const seen = new Set([...met, endKey(exit)]);
  if (port.connector !== "hdmi") return takenForGranted(port).sounds;
  if (isAt(cable.from, exit)) return presented(rig, cable.to, seen);
  const far = rig.atWill(cable.from.device);
  if (!far) return NOTHING;
  return far.presents.some((row) => row.ports.includes(cable.from.port)) ? presented(rig, cable.from, seen) : decodersOf(far);
}

function presented(rig: Rig, entry: CableEnd, met: ReadonlySet<string>): ListedUpperBound {
  const device = rig.atWill(entry.device);
  if (!device) return NOTHING;
  let most: ListedUpperBound = NOTHING;
  for (const rule of device.presents) {
    if (!rule.ports.includes(entry.port)) continue;
    most = either(most, byRule(rig, device, entry, rule, met));
    // After a rule that always counts none is asked.
    if (rule.when.length === 0) break;
  }
  return most;
}

function byRule(rig: Rig, device: Device, entry: CableEnd, rule: Presents, met: ReadonlySet<string>): ListedUpperBound {
  switch (rule.rule) {
    case "decoders":
      return decodersOf(device);
    case "copy":
      return listedUpperBoundAt(rig, { device: device.id, port: rule.of }, met);
    case "common": {
      const plugged = rule.of.map((port) => ({ device: device.id, port })).filter((end) => rig.cableAt(end));
      const known = plugged.flatMap((end) => listedUpperBoundAt(rig, end, met) ?? []);
      return known.length === 0 && plugged.length > 0 ? null : common(known.map((sounds) => ({ sounds, unknown: null }))).sounds;
    }
    case "list": {
      if (rule.sound === null) return null;
      const own = fixedList(rule.sound).sounds;
      return rule.widenedBy && rule.widenedBy !== entry.port ? either(own, added(rig, device, entry, rule.widenedBy, met)) : own;
    }
  }
}

/** What a device can add of the far end of its return channel. */
function added(rig: Rig, device: Device, entry: CableEnd, returnPort: string, met: ReadonlySet<string>): ListedUpperBound {
  const route = device.routes.find(
    (row): row is SoundRoute => row.kind === "sound" && row.from.includes(entry.port) && row.to.includes(returnPort),
  );
  if (!route) return NOTHING;
  const far = listedUpperBoundAt(rig, { device: device.id, port: returnPort }, met);
  return far && route.passes && listOf(handedOn(far, route.passes, route.lpcm)).sounds;
}

const decodersOf = ({ decodes }: Device): ListedUpperBound => decodes && told(decodes).sounds;

/** Whatever one of two lists holds. */
function either(a: ListedUpperBound, b: ListedUpperBound): ListedUpperBound {
  if (a === NOTHING || b === null) return b;
  return a && listOf([...a, ...b].map(([coding, row]) => ({ coding, ...row }))).sounds;
}
