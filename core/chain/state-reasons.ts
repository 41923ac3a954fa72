import { findDevice, type Cable, type Job } from "@/core/job";
import type { Loss, Reason } from "./reason";

type OutOfOrder = Extract<Reason, { code: "device-state" }> & { readonly state: "no-power" | "dead" };

type DeadLead = Cable & { readonly state: Exclude<Cable["state"], "sound"> };

/** That a device does nothing as it is now; null where it works, if only for itself. */
export function outOfOrder(job: Job, id: string): OutOfOrder | null {
  const state = findDevice(job, id)?.state;
  return state === "no-power" || state === "dead" ? { code: "device-state", device: id, state } : null;
}

/** The first of some leads that carries nothing as it is now. */
function deadLead(job: Job, isMeant: (cable: Cable) => boolean): DeadLead | null {
  for (const cable of job.cables) if (cable.state !== "sound" && isMeant(cable)) return { ...cable, state: cable.state };
  return null;
}

/** A lead at a device that carries nothing as it is now. */
export const deadLeadAt = (job: Job, id: string): DeadLead | null =>
  deadLead(job, ({ from, to }) => from.device === id || to.device === id);

/** The lead by which sound or picture would go on from a device if it carried anything as it is now. */
export const deadLeadFrom = (job: Job, id: string): DeadLead | null =>
  deadLead(job, ({ from, to }) => {
    const out = findDevice(job, from.device)?.ports.find((port) => port.id === from.port);
    return from.device === id || (to.device === id && out?.connector === "hdmi" && out.returns !== "none");
  });

/** A lead between a sound system and one of some devices that carries nothing as it is now. */
export const deadLeadBetween = (job: Job, devices: readonly string[], system: string): DeadLead | null =>
  deadLead(
    job,
    ({ from, to }) => (from.device === system && devices.includes(to.device)) || (to.device === system && devices.includes(from.device)),
  );

/** Obstacles with the state of a device as the reason where it does nothing as it is now, in place of what it therefore lacks. */
export function asStatesAre(job: Job, blocks: readonly Loss[]): readonly Loss[] {
  const told = blocks.map((loss): Loss => {
    const state = "device" in loss.reason ? outOfOrder(job, loss.reason.device) : null;
    return state ? { ...loss, reason: state } : loss;
  });
  const isFirst = (loss: Loss, index: number) =>
    told.findIndex((other) => JSON.stringify(other.reason) === JSON.stringify(loss.reason)) === index;
  return told.filter(isFirst);
}
