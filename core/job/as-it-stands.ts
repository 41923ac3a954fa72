import { asDeviceStands } from "@/core/device";
import { endKey } from "./find";
import type { Job } from "./job";

const known = new WeakMap<Job, Job>();

/**
 * The room as the present state of its parts leaves it: leads that carry nothing are not there, and a device without power does nothing.
 * Sound, picture and control are worked out from this. The same object where everything is well.
 */
export function asItStands(job: Job): Job {
  const before = known.get(job) ?? standing(job);
  known.set(job, before);
  return before;
}

function standing(job: Job): Job {
  const devices = job.devices.map(asDeviceStands);
  const dead = new Set(
    job.devices.flatMap(({ id, ports }) => ports.flatMap((port) => (port.dead ? [endKey({ device: id, port: port.id })] : []))),
  );
  const cables = job.cables.filter(({ state, from, to }) => state === "sound" && !dead.has(endKey(from)) && !dead.has(endKey(to)));
  const isWell = cables.length === job.cables.length && devices.every((device, index) => device === job.devices[index]);
  return isWell ? job : { ...job, devices, cables };
}
