import { done, refused, unreachable } from "@/core/outcome";
import { insert, without, type Edit, type Result } from "./applied";
import { findDevice } from "./find";
import { MOST_SNAPSHOTS, type Job } from "./job";
import type { KeptCommand } from "./kept-commands";

/** Makes an edit of what is kept with a job. */
export function applyToKept(job: Job, command: KeptCommand): Result {
  switch (command.kind) {
    case "arrange":
      return arrange(job, command);
    case "keep-snapshot":
      return keepSnapshot(job, command);
    case "drop-snapshot":
      return dropSnapshot(job, command);
    case "attach":
      return attach(job, command);
    case "detach":
      return detach(job, command);
    default:
      return unreachable(command);
  }
}

/** Puts a plate to a place of the map, or gives it back to the computed one. */
function arrange(job: Job, { device, to }: Edit<"arrange">): Result {
  if (!findDevice(job, device)) return refused({ code: "no-such-device", device });
  const before = job.arrangement.find((row) => row.device === device);
  const rest = job.arrangement.filter((row) => row !== before);
  return done({
    job: { ...job, arrangement: to ? [...rest, { device, ...to }] : rest },
    inverse: { kind: "arrange", device, to: before ? { x: before.x, y: before.y } : null },
  });
}

function keepSnapshot(job: Job, { snapshot, at }: Edit<"keep-snapshot">): Result {
  if (job.snapshots.some(({ id }) => id === snapshot.id)) return refused({ code: "id-taken", id: snapshot.id });
  if (job.snapshots.length >= MOST_SNAPSHOTS)
    return refused({
      code: "value-out-of-range",
      field: "The list of saved states",
      expected: `at most ${MOST_SNAPSHOTS}; delete an older one first`,
    });
  return done({
    job: { ...job, snapshots: insert(job.snapshots, snapshot, at) },
    inverse: { kind: "drop-snapshot", snapshot: snapshot.id },
  });
}

function dropSnapshot(job: Job, { snapshot: id }: Edit<"drop-snapshot">): Result {
  const at = job.snapshots.findIndex((row) => row.id === id);
  const snapshot = job.snapshots[at];
  if (!snapshot) return refused({ code: "no-such-snapshot", snapshot: id });
  return done({ job: { ...job, snapshots: without(job.snapshots, at) }, inverse: { kind: "keep-snapshot", snapshot, at } });
}

function attach(job: Job, { attachment, at }: Edit<"attach">): Result {
  if (job.attachments.some(({ id }) => id === attachment.id)) return refused({ code: "id-taken", id: attachment.id });
  return done({
    job: { ...job, attachments: insert(job.attachments, attachment, at) },
    inverse: { kind: "detach", attachment: attachment.id },
  });
}

function detach(job: Job, { attachment: id }: Edit<"detach">): Result {
  const at = job.attachments.findIndex((row) => row.id === id);
  const attachment = job.attachments[at];
  if (!attachment) return refused({ code: "no-such-attachment", attachment: id });
  return done({ job: { ...job, attachments: without(job.attachments, at) }, inverse: { kind: "attach", attachment, at } });
}
