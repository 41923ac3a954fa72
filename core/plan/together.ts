import { applyCommand, freeId, stepsOf, type Command, type Job, type Refusal, type SingleCommand } from "@/core/job";
import { done, refused, type Outcome } from "@/core/outcome";
import type { Change } from "./changes";

/** Whether two changes decide the same thing and so cannot be made together. */
export const excludesEachOther = (a: Change, b: Change): boolean => a.decides.some((what) => b.decides.includes(what));

/**
 * The one edit that makes several changes, each of which was considered for itself: new cables get ids of their own. Refused with the
 * first step that cannot be made after the others.
 */
export function together(job: Job, changes: readonly Change[]): Outcome<Command, Refusal> {
  let current = job;
  const commands: SingleCommand[] = [];
  for (const step of changes.flatMap(({ command }) => stepsOf(command))) {
    const own = withFreeId(current, step);
    const applied = applyCommand(current, own);
    if (!applied.ok) return refused(applied.refusal);
    current = applied.value.job;
    commands.push(own);
  }
  return done({ kind: "batch", commands });
}

function withFreeId(job: Job, step: SingleCommand): SingleCommand {
  if (step.kind !== "plug") return step;
  const taken = new Set(job.cables.map(({ id }) => id));
  return taken.has(step.cable.id) ? { ...step, cable: { ...step.cable, id: freeId(step.cable.id, taken) } } : step;
}
