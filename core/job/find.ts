import type { Device, Port } from "@/core/device";
import type { Cable, CableEnd, Job } from "./job";

export const findDevice = (job: Job, id: string): Device | undefined => job.devices.find((device) => device.id === id);

export const findPort = (job: Job, end: CableEnd): Port | undefined =>
  findDevice(job, end.device)?.ports.find((port) => port.id === end.port);

export const sameEnd = (a: CableEnd, b: CableEnd): boolean => a.device === b.device && a.port === b.port;

/** A socket as one word, for maps and sets. */
export const endKey = ({ device, port }: CableEnd): string => `${device} ${port}`;

/** The cable in a socket, if any. */
export const cableAt = (job: Job, end: CableEnd): Cable | undefined =>
  job.cables.find((cable) => sameEnd(cable.from, end) || sameEnd(cable.to, end));

/** The device that sound should come from: the brief's choice, else the first sound system, else the first screen with speakers. */
export function chosenSoundSystem(job: Job): Device | undefined {
  const wished = job.brief.soundSystem ? findDevice(job, job.brief.soundSystem) : undefined;
  return (
    wished ?? job.devices.find((device) => device.role === "sound" && device.speakers) ?? job.devices.find((device) => device.speakers)
  );
}

/** An id that is not taken: `stem`, else `stem-2`, `stem-3` … */
export const freeId = (stem: string, taken: ReadonlySet<string>): string => numbered(stem.slice(0, 56), "-", taken);

/** A name that is not taken: "Television", else "Television 2" … */
export const freeName = (name: string, taken: ReadonlySet<string>): string => numbered(name.slice(0, 290), " ", taken);

function numbered(base: string, join: string, taken: ReadonlySet<string>): string {
  if (!taken.has(base)) return base;
  let n = 2;
  while (taken.has(`${base}${join}${n}`)) n += 1;
  return `${base}${join}${n}`;
}
