import { done, refused, type Outcome } from "@/core/outcome";
import { applyToCable } from "./apply-cable";
import { applyToDevice } from "./apply-device";
import { applyToHandover } from "./apply-handover";
import { applyToKept } from "./apply-kept";
import { applyToRoom } from "./apply-room";
import { applyToJob } from "./apply-to-job";
import { applyToVisit } from "./apply-visit";
import type { Result } from "./applied";
import { sortCommand, stepsOf, type Command, type SingleCommand } from "./command";
import type { Job } from "./job";
import type { Refusal } from "./refusal";

/** Makes an edit, or says why not. The job given is never changed. */
export function applyCommand(job: Job, command: Command): Result {
  if (command.kind !== "batch") return applySingle(job, command);
  let current = job;
  const inverses: SingleCommand[] = [];
  for (const step of command.commands) {
    const result = applySingle(current, step);
    if (!result.ok) return result;
    current = result.value.job;
    const { inverse } = result.value;
    inverses.unshift(...stepsOf(inverse));
  }
  return done({ job: current, inverse: { kind: "batch", commands: inverses } });
}

/** Makes edits one after the other, all of them or none; the refusal comes with the job as it was before the edit that was refused. */
export function applyAll(job: Job, commands: readonly Command[]): Outcome<Job, { readonly refusal: Refusal; readonly job: Job }> {
  let current = job;
  for (const command of commands) {
    const applied = applyCommand(current, command);
    if (!applied.ok) return refused({ refusal: applied.refusal, job: current });
    current = applied.value.job;
  }
  return done(current);
}

function applySingle(job: Job, single: SingleCommand): Result {
  const { edits, command } = sortCommand(single);
  switch (edits) {
    case "job":
      return applyToJob(job, command);
    case "device":
      return applyToDevice(job, command);
    case "cable":
      return applyToCable(job, command);
    case "room":
      return applyToRoom(job, command);
    case "visit":
      return applyToVisit(job, command);
    case "handover":
      return applyToHandover(job, command);
    case "kept":
      return applyToKept(job, command);
  }
}
