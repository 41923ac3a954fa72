import { cableJoins, classesJoining } from "@/core/facts";
import { isTurning } from "@/core/device";
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
  if (classesJoining(held.connector, socket.connector).length === 0)
    return { code: "plug-does-not-fit", plug: held.connector, socket: socket.connector, end: b };
  if (held.direction === socket.direction && !(isTurning(held) || isTurning(socket)))
    return { code: held.direction === "out" ? "both-outputs" : "both-inputs", end: b };
  for (const end of [a, b]) {
    const taken = cableAt(rest, end);
    if (taken) return { code: "socket-taken", end, by: taken.id };
  }
  const { from, to } = inSignalOrder(rest, a, b);
  const stick = coveringStick(rest, to);
  if (stick) return { code: "socket-covered", end: to, by: stick };
  const devices = loopThrough(rest, from, to);
  return devices ? { code: "cable-loop", devices } : null;
}

/** The sockets of HDMI inputs right beside one, in the order of the back plate. */
function neighbours(job: Job, end: CableEnd): readonly CableEnd[] {
  const inputs = (findDevice(job, end.device)?.ports ?? []).filter(
    ({ connector, direction }) => connector === "hdmi" && direction === "in",
  );
  const at = inputs.findIndex(({ id }) => id === end.port);
  if (at < 0) return [];
  return [inputs[at - 1], inputs[at + 1]].flatMap((port) => (port ? [{ device: end.device, port: port.id }] : []));
}

const isWideStick = (job: Job, cable: Cable): boolean => {
  const plug = findPort(job, cable.from);
  return cable.class === "direct-plug" && plug?.connector === "hdmi" && plug.plug === "wide";
};

/** The wide stick that covers a socket from the one beside it, if any. */
export function coveringStick(job: Job, socket: CableEnd): string | null {
  const cables = neighbours(job, socket).flatMap((end) => cableAt(job, end) ?? []);
  return cables.find((cable) => isWideStick(job, cable))?.from.device ?? null;
}

/** The taken socket that a wide stick would cover if it were plugged in directly. */
function coveredNeighbour(job: Job, cable: Cable): { end: CableEnd; by: string } | null {
  if (!isWideStick(job, cable)) return null;
  const end = neighbours(job, cable.to).find((socket) => cableAt(job, socket));
  return end ? { end, by: cable.from.device } : null;
}

/** The two ends with the output first; of two outputs the one that can turn stands for the input. */
export function inSignalOrder(job: Job, a: CableEnd, b: CableEnd): { from: CableEnd; to: CableEnd } {
  const [one, other] = [findPort(job, a), findPort(job, b)];
  if (one && other && one.direction === other.direction) return isTurning(one) ? { from: b, to: a } : { from: a, to: b };
  return findPort(job, a)?.direction === "out" ? { from: a, to: b } : { from: b, to: a };
}

const isMiswiring = ({ code }: Refusal): boolean => code === "both-outputs" || code === "both-inputs";

/** Why a whole cable may not lie where it says, or null when it may. */
export function whyNotCable(job: Job, cable: Cable): Refusal | null {
  if (job.cables.some((other) => other.id === cable.id)) return { code: "id-taken", id: cable.id };
  const refusal = whyNotPlug(job, cable.from, cable.to);
  if (refusal && !(cable.miswired && isMiswiring(refusal))) return refusal;
  if (cable.miswired) return refusal ? null : { code: "not-miswired", cable: cable.id };
  const out = findPort(job, cable.from);
  if (out && out.direction !== "out") return { code: "both-inputs", end: cable.from };
  const into = findPort(job, cable.to);
  if (out && into && !cableJoins(cable.class, out.connector, into.connector))
    return { code: "cable-does-not-fit", cable: cable.class, sockets: [out.connector, into.connector] };
  const covered = coveredNeighbour(job, cable);
  return covered ? { code: "neighbour-covered", ...covered } : null;
}
