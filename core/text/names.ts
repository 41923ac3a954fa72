import { cableClassFact, type CableClass } from "@/core/facts";
import { findDevice, findPort, type CableEnd, type Job } from "@/core/job";

/** The device as people call it in this job, or in a saved state where it is gone; its id where nobody knows it. */
export const deviceName = (job: Job, id: string): string =>
  (findDevice(job, id) ?? job.snapshots.flatMap(({ devices }) => devices).find((device) => device.id === id))?.name ?? id;

/** A room as people call it in this job; its id where it is gone. */
export const roomName = (job: Job, id: string): string => job.rooms.find((room) => room.id === id)?.name ?? id;

/** The print at a socket, in quotes as printed on the back plate. */
/** The print of a socket as it stands on the back plate, without quotes. */
export const socketLabel = (job: Job, end: CableEnd): string => findPort(job, end)?.label ?? end.port;

export const socketPrint = (job: Job, end: CableEnd): string => `“${socketLabel(job, end)}”`;

export const socketName = (job: Job, end: CableEnd): string => `${deviceName(job, end.device)} ${socketPrint(job, end)}`;

/** "the Ultra High Speed HDMI cable from Bar “HDMI OUT” to Television “HDMI 3 eARC”". */
export function cableName(job: Job, id: string): string {
  const cable = job.cables.find((row) => row.id === id);
  if (!cable) return `the cable ${id}`;
  return `the ${cableClassFact(cable.class).name} cable from ${socketName(job, cable.from)} to ${socketName(job, cable.to)}`;
}

/** The same, shorter, where the two ends are in sight anyway. */
export function cableShortName(job: Job, id: string): string {
  const cable = job.cables.find((row) => row.id === id);
  return cable ? `cable ${deviceName(job, cable.from.device)} to ${deviceName(job, cable.to.device)}` : `cable ${id}`;
}

/** A sentence's first letter; "eARC" keeps its own. */
export const upperFirst = (text: string): string => (/^[a-z][A-Z]/.test(text) ? text : text.charAt(0).toUpperCase() + text.slice(1));

/** The same within a sentence; "eARC" and "HDMI" keep their own. */
export const lowerFirst = (text: string): string => (/^[A-Z]{2}/.test(text) ? text : text.charAt(0).toLowerCase() + text.slice(1));

/** "a", "a and b", "a, b and c". */
export function listed(parts: readonly string[]): string {
  if (parts.length < 2) return parts[0] ?? "";
  return `${parts.slice(0, -1).join(", ")} and ${parts.at(-1) ?? ""}`;
}

/** "8.0 MB", of 2^20 bytes each. */
export const formatMegabytes = (bytes: number): string => `${(bytes / 1_048_576).toFixed(1)}\u2009MB`;

/** "Ultra High Speed HDMI". */
export const cableClassName = (id: CableClass): string => cableClassFact(id).name;
