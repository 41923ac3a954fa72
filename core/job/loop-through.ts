import type { Device } from "@/core/device";
import { endKey, findDevice } from "./find";
import type { CableEnd, Job } from "./job";

/**
 * The devices of a signal loop that a new cable would close, or null. The loop is one of sockets: a bar's output in a TV
 * and the TV's optical output in the bar make none, because the bar sends its optical input to its speakers only.
 * A return channel runs back along its own cable by design and is no loop.
 */
export function loopThrough(job: Job, from: CableEnd, to: CableEnd): readonly string[] | null {
  const cableFrom = new Map(job.cables.map((cable) => [endKey(cable.from), cable.to]));
  const goal = endKey(from);
  const seen = new Set<string>();
  const walk = (entry: CableEnd, trail: readonly string[]): readonly string[] | null => {
    if (seen.has(endKey(entry))) return null;
    seen.add(endKey(entry));
    for (const exit of outputsBehind(job, entry)) {
      if (endKey(exit) === goal) return [...trail, entry.device];
      const next = cableFrom.get(endKey(exit));
      const found = next ? walk(next, [...trail, entry.device]) : null;
      if (found) return found;
    }
    return null;
  };
  return walk(to, [from.device]);
}

/** Devices are never changed in place, so what is behind their sockets is laid out once. */
const laidOut = new WeakMap<Device, Map<string, readonly CableEnd[]>>();

function outputsBehind(job: Job, entry: CableEnd): readonly CableEnd[] {
  const device = findDevice(job, entry.device);
  if (!device) return [];
  const known = laidOut.get(device) ?? new Map<string, readonly CableEnd[]>();
  laidOut.set(device, known);
  const found = known.get(entry.port) ?? outputsOf(device, entry.port);
  known.set(entry.port, found);
  return found;
}

function outputsOf(device: Device, input: string): readonly CableEnd[] {
  const reached = new Set(device.routes.filter(({ from }) => from.includes(input)).flatMap(({ to }) => to));
  return device.ports.flatMap(({ id, direction }) => (direction === "out" && reached.has(id) ? [{ device: device.id, port: id }] : []));
}
