import { findDevice, type Cable, type Job } from "@/core/job";
import type { Loss, Reason } from "./reason";

type OutOfOrder = Extract<Reason, { code: "device-state" }> & { readonly state: "no-power" | "dead" };

type DeadLead = Cable & { readonly state: Exclude<Cable["state"], "sound"> };

/** That a device does nothing as it is now; null where it works, if only for itself. */
export function outOfOrder(job: Job, id: string): OutOfOrder | null {
  const state = findDevice(job, id)?.state;
  return state === "no-power" || state === "dead" ? { code: "device-state", device: id, state } : null;
}

/** The lead by which sound or picture would go on from a device if it carried anything as it is now. */
export function deadLeadFrom(job: Job, id: string): DeadLead | null {
  for (const cable of job.cables) {
    const { state, from, to } = cable;
    const far = findDevice(job, from.device)?.ports.find((port) => port.id === from.port);
    const returns = far?.connector === "hdmi" && far.returns !== "none";
    if (state !== "sound" && (from.device === id || (to.device === id && returns))) return { ...cable, state };
  }
  return null;
}

/** A lead between a sound system and one of some devices that carries nothing as it is now. */
export const deadLeadBetween = (job: Job, devices: readonly string[], system: string): DeadLead | null =>
  job.cables.flatMap((cable): DeadLead[] => {
    const { state, from, to } = cable;
    const other = from.device === system ? to.device : to.device === system ? from.device : null;
    return state !== "sound" && other !== null && devices.includes(other) ? [{ ...cable, state }] : [];
  })[0] ?? null;

/** Obstacles as they are told: of a device that does nothing as it is now that alone, and not what else it therefore lacks. */
export function asStatesAre(job: Job, blocks: readonly Loss[]): readonly Loss[] {
  const told = blocks.map((loss): Loss => {
    const state = "device" in loss.reason ? outOfOrder(job, loss.reason.device) : null;
    return state ? { ...loss, reason: state } : loss;
  });
  const isFirst = (loss: Loss, index: number) =>
    told.findIndex((other) => JSON.stringify(other.reason) === JSON.stringify(loss.reason)) === index;
  return told.filter(isFirst);
}
