import { asDeviceStands, type Device } from "@/core/device";
import type { Cable, Job } from "@/core/job";

/** The inputs of each device at which something is plugged that does anything with sound that comes back to it, as one word each; a player does not. */
export type ReturnTakers = ReadonlyMap<string, string>;

/**
 * Lays out which inputs have a taker of returns. A board asks for all of a device at once: whatever players are exchanged at the others,
 * the answer stays the same.
 */
export function returnTakers(deviceOf: (id: string) => Device | undefined, cables: readonly Cable[]): ReturnTakers {
  const found = new Map<string, string[]>();
  for (const cable of cables) {
    const { from, to, state, miswired } = cable;
    const far = deviceOf(from.device);
    if (state !== "sound" || miswired || !far || !takesReturnsAt(far, from.port)) continue;
    const known = found.get(to.device);
    if (known) known.push(to.port);
    else found.set(to.device, [to.port]);
  }
  return new Map([...found].map(([device, ports]) => [device, ports.toSorted().join(" ")]));
}

/** Jobs are never changed in place. */
const laidOut = new WeakMap<Job, ReturnTakers>();

/** Which inputs of a job have a taker of returns. */
export function takersIn(job: Job): ReturnTakers {
  const known = laidOut.get(job);
  if (known) return known;
  const devices = new Map(job.devices.map((device) => [device.id, device]));
  const found = returnTakers((id) => devices.get(id), job.cables);
  laidOut.set(job, found);
  return found;
}

/** Whether a device does anything with sound that comes back to one of its outputs. */
export const takesReturnsAt = (device: Device, port: string): boolean =>
  asDeviceStands(device).routes.some((route) => route.kind === "sound" && route.from.includes(port));
