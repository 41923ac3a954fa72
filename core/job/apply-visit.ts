import { done, refused, unreachable } from "@/core/outcome";
import { fieldsOf, insert, without, withoutUndefined, type Edit, type Result } from "./applied";
import { findDevice } from "./find";
import type { Job } from "./job";
import type { VisitCommand } from "./visit-commands";

const MOST_ADDED = 100;

/** Makes an edit of what is agreed about a visit, or of the steps added to it. */
export function applyToVisit(job: Job, command: VisitCommand): Result {
  switch (command.kind) {
    case "edit-visit":
      return editVisit(job, command);
    case "add-step":
      return addStep(job, command);
    case "remove-step":
      return removeStep(job, command);
    default:
      return unreachable(command);
  }
}

function editVisit(job: Job, { fields }: Edit<"edit-visit">): Result {
  const given = withoutUndefined(fields);
  const stranger = given.powerOrder?.find((id) => !findDevice(job, id));
  if (stranger !== undefined) return refused({ code: "no-such-device", device: stranger });
  return done({ job: { ...job, visit: { ...job.visit, ...given } }, inverse: { kind: "edit-visit", fields: fieldsOf(job.visit, given) } });
}

function addStep(job: Job, { step, at }: Edit<"add-step">): Result {
  const { added } = job.visit;
  if (added.some(({ id }) => id === step.id)) return refused({ code: "id-taken", id: step.id });
  if (added.length >= MOST_ADDED)
    return refused({ code: "value-out-of-range", field: "The list of added steps", expected: `at most ${MOST_ADDED}` });
  return done({
    job: { ...job, visit: { ...job.visit, added: insert(added, step, at) } },
    inverse: { kind: "remove-step", step: step.id },
  });
}

function removeStep(job: Job, { step: id }: Edit<"remove-step">): Result {
  const { added } = job.visit;
  const at = added.findIndex((row) => row.id === id);
  const step = added[at];
  if (!step) return refused({ code: "no-such-step", step: id });
  return done({ job: { ...job, visit: { ...job.visit, added: without(added, at) } }, inverse: { kind: "add-step", step, at } });
}
