import { done, refused, unreachable } from "@/core/outcome";
import { fieldsOf, withoutUndefined, type Edit, type Result } from "./applied";
import { wishedDevices } from "./brief";
import { findDevice } from "./find";
import type { JobCommand } from "./job-commands";
import type { Job } from "./job";

/** Makes an edit of the job itself, its brief or its rooms. */
export function applyToJob(job: Job, command: JobCommand): Result {
  switch (command.kind) {
    case "edit-job":
      return editJob(job, command);
    case "edit-brief":
      return editBrief(job, command);
    case "set-rooms":
      return setRooms(job, command);
    default:
      return unreachable(command);
  }
}

function editJob(job: Job, { fields }: Edit<"edit-job">): Result {
  const given = withoutUndefined(fields);
  const system = given.brief?.soundSystem;
  if (system && !findDevice(job, system)) return refused({ code: "no-such-device", device: system });
  if (given.name?.trim() === "") return refused({ code: "name-empty" });
  return done({ job: { ...job, ...given }, inverse: { kind: "edit-job", fields: fieldsOf(job, given) } });
}

function editBrief(job: Job, { fields }: Edit<"edit-brief">): Result {
  const given = withoutUndefined(fields);
  const wished = wishedDevices({ bonds: given.bonds ?? [], musts: given.musts ?? [], hopes: given.hopes ?? [] });
  const named = [given.soundSystem ?? null, ...(given.mustStay ?? []), ...wished.map(({ device }) => device)].find(
    (id) => id !== null && !findDevice(job, id),
  );
  if (named) return refused({ code: "no-such-device", device: named });
  const rooms = new Set(job.rooms.map(({ id }) => id));
  const strange = given.runs?.flatMap(({ between }) => between).find((id) => !rooms.has(id));
  if (strange) return refused({ code: "no-such-room", room: strange });
  return done({ job: { ...job, brief: { ...job.brief, ...given } }, inverse: { kind: "edit-brief", fields: fieldsOf(job.brief, given) } });
}

function setRooms(job: Job, { rooms }: Edit<"set-rooms">): Result {
  const ids = new Set(rooms.map(({ id }) => id));
  if (ids.size < rooms.length)
    return refused({ code: "id-taken", id: rooms.map(({ id }) => id).find((id, at, all) => all.indexOf(id) < at) ?? "" });
  const needed = [...job.devices.flatMap(({ room }) => room ?? []), ...job.brief.runs.flatMap(({ between }) => between)];
  const missing = needed.find((id) => !ids.has(id));
  if (missing) return refused({ code: "room-in-use", room: missing });
  return done({ job: { ...job, rooms }, inverse: { kind: "set-rooms", rooms: job.rooms } });
}
