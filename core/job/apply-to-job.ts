import { done, refused } from "@/core/outcome";
import { fieldsOf, insert, without, withoutUndefined, type Edit, type Result } from "./applied";
import { wishedDevices } from "./brief";
import { findDevice } from "./find";
import { MOST_SNAPSHOTS, type Job } from "./job";

export function editJob(job: Job, { fields }: Edit<"edit-job">): Result {
  const given = withoutUndefined(fields);
  const system = given.brief?.soundSystem;
  if (system && !findDevice(job, system)) return refused({ code: "no-such-device", device: system });
  if (given.name?.trim() === "") return refused({ code: "name-empty" });
  return done({ job: { ...job, ...given }, inverse: { kind: "edit-job", fields: fieldsOf(job, given) } });
}

export function editBrief(job: Job, { fields }: Edit<"edit-brief">): Result {
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

export function setRooms(job: Job, { rooms }: Edit<"set-rooms">): Result {
  const ids = new Set(rooms.map(({ id }) => id));
  if (ids.size < rooms.length)
    return refused({ code: "id-taken", id: rooms.map(({ id }) => id).find((id, at, all) => all.indexOf(id) < at) ?? "" });
  const needed = [...job.devices.flatMap(({ room }) => room ?? []), ...job.brief.runs.flatMap(({ between }) => between)];
  const missing = needed.find((id) => !ids.has(id));
  if (missing) return refused({ code: "room-in-use", room: missing });
  return done({ job: { ...job, rooms }, inverse: { kind: "set-rooms", rooms: job.rooms } });
}

/** Puts a plate to a place of the map, or gives it back to the computed one. */
export function arrange(job: Job, { device, to }: Edit<"arrange">): Result {
  if (!findDevice(job, device)) return refused({ code: "no-such-device", device });
  const before = job.arrangement.find((row) => row.device === device);
  const rest = job.arrangement.filter((row) => row !== before);
  return done({
    job: { ...job, arrangement: to ? [...rest, { device, ...to }] : rest },
    inverse: { kind: "arrange", device, to: before ? { x: before.x, y: before.y } : null },
  });
}

export function keepSnapshot(job: Job, { snapshot, at }: Edit<"keep-snapshot">): Result {
  if (job.snapshots.some(({ id }) => id === snapshot.id)) return refused({ code: "id-taken", id: snapshot.id });
  if (job.snapshots.length >= MOST_SNAPSHOTS)
    return refused({ code: "value-out-of-range", field: "kept states", expected: `at most ${MOST_SNAPSHOTS}; let an older one go first` });
  return done({
    job: { ...job, snapshots: insert(job.snapshots, snapshot, at) },
    inverse: { kind: "drop-snapshot", snapshot: snapshot.id },
  });
}

export function dropSnapshot(job: Job, { snapshot: id }: Edit<"drop-snapshot">): Result {
  const at = job.snapshots.findIndex((row) => row.id === id);
  const snapshot = job.snapshots[at];
  if (!snapshot) return refused({ code: "no-such-snapshot", snapshot: id });
  return done({ job: { ...job, snapshots: without(job.snapshots, at) }, inverse: { kind: "keep-snapshot", snapshot, at } });
}

export function attach(job: Job, { attachment, at }: Edit<"attach">): Result {
  if (job.attachments.some(({ id }) => id === attachment.id)) return refused({ code: "id-taken", id: attachment.id });
  return done({
    job: { ...job, attachments: insert(job.attachments, attachment, at) },
    inverse: { kind: "detach", attachment: attachment.id },
  });
}

export function detach(job: Job, { attachment: id }: Edit<"detach">): Result {
  const at = job.attachments.findIndex((row) => row.id === id);
  const attachment = job.attachments[at];
  if (!attachment) return refused({ code: "no-such-attachment", attachment: id });
  return done({ job: { ...job, attachments: without(job.attachments, at) }, inverse: { kind: "attach", attachment, at } });
}
