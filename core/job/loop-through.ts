import { findDevice } from "./find";
import type { CableEnd, Job } from "./job";

const key = (end: CableEnd) => `${end.device} ${end.port}`;

/**
 * The devices of a signal loop that a new cable would close, or null. The loop is one of sockets: a bar's output in a TV
 * and the TV's optical output in the bar make none, because the bar sends its optical input to its speakers only.
 * A return channel runs back along its own cable by design and is no loop.
 */
export function loopThrough(job: Job, from: CableEnd, to: CableEnd): readonly string[] | null {
  const cableFrom = new Map(job.cables.map((cable) => [key(cable.from), cable.to]));
  const goal = key(from);
  const seen = new Set<string>();
  const walk = (entry: CableEnd, trail: readonly string[]): readonly string[] | null => {
    if (seen.has(key(entry))) return null;
    seen.add(key(entry));
    for (const exit of outputsBehind(job, entry)) {
      if (key(exit) === goal) return [...trail, entry.device];
      const next = cableFrom.get(key(exit));
      const found = next ? walk(next, [...trail, entry.device]) : null;
      if (found) return found;
    }
    return null;
  };
  return walk(to, [from.device]);
}

function outputsBehind(job: Job, entry: CableEnd): readonly CableEnd[] {
  const device = findDevice(job, entry.device);
  if (!device) return [];
  const outputs = new Set(device.ports.filter((port) => port.direction === "out").map((port) => port.id));
  const reached = device.routes.filter((route) => route.from.includes(entry.port)).flatMap((route) => route.to);
  return [...new Set(reached)].filter((port) => outputs.has(port)).map((port) => ({ device: entry.device, port }));
}
