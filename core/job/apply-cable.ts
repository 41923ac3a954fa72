import { done, refused, unreachable } from "@/core/outcome";
import { fieldsOf, insert, without, withoutUndefined, type Edit, type Result } from "./applied";
import type { CableCommand } from "./cable-commands";
import type { Cable, Job } from "./job";
import { whyNotCable } from "./why-not-plug";

/** Makes an edit of the cables of a job. */
export function applyToCable(job: Job, command: CableCommand): Result {
  switch (command.kind) {
    case "plug":
      return plug(job, command.cable, command.at);
    case "unplug":
      return unplug(job, command.cable);
    case "edit-cable":
      return editCable(job, command);
    default:
      return unreachable(command);
  }
}

function plug(job: Job, cable: Cable, at: number | null): Result {
  const refusal = whyNotCable(job, cable);
  if (refusal) return refused(refusal);
  return done({ job: { ...job, cables: insert(job.cables, cable, at) }, inverse: { kind: "unplug", cable: cable.id } });
}

function unplug(job: Job, id: string): Result {
  const at = job.cables.findIndex((cable) => cable.id === id);
  const cable = job.cables[at];
  if (!cable) return refused({ code: "no-such-cable", cable: id });
  return done({ job: { ...job, cables: without(job.cables, at) }, inverse: { kind: "plug", cable, at } });
}

function editCable(job: Job, command: Edit<"edit-cable">): Result {
  const at = job.cables.findIndex((cable) => cable.id === command.cable);
  const cable = job.cables[at];
  if (!cable) return refused({ code: "no-such-cable", cable: command.cable });
  const given = withoutUndefined(command.fields);
  const changed = { ...cable, ...given };
  const refusal = whyNotCable({ ...job, cables: without(job.cables, at) }, changed);
  if (refusal) return refused(refusal);
  return done({
    job: { ...job, cables: job.cables.map((row) => (row === cable ? changed : row)) },
    inverse: { kind: "edit-cable", cable: cable.id, fields: fieldsOf(cable, given) },
  });
}
