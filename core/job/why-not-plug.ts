import { cableClassFact } from "@/core/facts";
import { cableAt, findDevice, findPort } from "./find";
import type { Cable, CableEnd, Job } from "./job";
import { loopThrough } from "./loop-through";
import type { Refusal } from "./refusal";

/**
 * Why a plug from one socket may not go into another, or null when it may. The ends may be given in either order.
 * `ignoring`: a cable that is being moved and so does not count as taking its sockets.
 * The map asks this for every socket while a plug is held; `applyCommand` asks it before it plugs.
 */
export function whyNotPlug(job: Job, a: CableEnd, b: CableEnd, ignoring?: string): Refusal | null {
  const rest = ignoring ? { ...job, cables: job.cables.filter((cable) => cable.id !== ignoring) } : job;
  for (const end of [a, b]) {
    if (!findDevice(rest, end.device)) return { code: "no-such-device", device: end.device };
    if (!findPort(rest, end)) return { code: "no-such-port", end };
  }
  const held = findPort(rest, a);
  const socket = findPort(rest, b);
  if (!held || !socket) return { code: "no-such-port", end: b };
  if (a.device === b.device) return { code: "same-device", device: a.device };
  if (held.connector !== socket.connector) return { code: "plug-does-not-fit", plug: held.connector, socket: socket.connector, end: b };
  if (held.direction === socket.direction) return { code: held.direction === "out" ? "both-outputs" : "both-inputs", end: b };
  for (const end of [a, b]) {
    const taken = cableAt(rest, end);
    if (taken) return { code: "socket-taken", end, by: taken.id };
  }
  const { from, to } = inSignalOrder(rest, a, b);
  const devices = loopThrough(rest, from, to);
  return devices ? { code: "cable-loop", devices } : null;
}

/** The two ends with the output first. */
export function inSignalOrder(job: Job, a: CableEnd, b: CableEnd): { from: CableEnd; to: CableEnd } {
  return findPort(job, a)?.direction === "out" ? { from: a, to: b } : { from: b, to: a };
}

/** Why a whole cable may not lie where it says, or null when it may. */
export function whyNotCable(job: Job, cable: Cable): Refusal | null {
  if (job.cables.some((other) => other.id === cable.id)) return { code: "id-taken", id: cable.id };
  const refusal = whyNotPlug(job, cable.from, cable.to);
  if (refusal) return refusal;
  const out = findPort(job, cable.from);
  if (out && out.direction !== "out") return { code: "both-inputs", end: cable.from };
  const made = cableClassFact(cable.class).connector;
  return out && out.connector !== made ? { code: "cable-does-not-fit", cable: made, socket: out.connector } : null;
}
