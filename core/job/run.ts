import type { Run } from "./brief";
import { findDevice } from "./find";
import type { CableEnd, Job } from "./job";
import type { Refusal } from "./refusal";
import { whyNotPlug } from "./why-not-plug";

/** What the brief says of cables between the rooms of two devices; undefined within one room, or where it says nothing. */
export function runBetween(job: Job, a: string, b: string): Run | undefined {
  const [here, there] = [findDevice(job, a)?.room, findDevice(job, b)?.room];
  if (!here || !there || here === there) return undefined;
  return job.brief.runs.find(({ between }) => between.includes(here) && between.includes(there));
}

/**
 * Why a new cable may not be laid between two sockets: what `whyNotPlug` says, or that the brief allows no cable there.
 * A cable that is already there is a fact and is never refused.
 */
export function whyNotLay(job: Job, a: CableEnd, b: CableEnd, ignoring?: string): Refusal | null {
  const refusal = whyNotPlug(job, a, b, ignoring);
  if (refusal) return refusal;
  const run = runBetween(job, a.device, b.device);
  return run && !run.allowed ? { code: "run-forbidden", rooms: run.between } : null;
}
