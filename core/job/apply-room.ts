import { done, refused, unreachable } from "@/core/outcome";
import { fieldsOf, insert, withoutUndefined, type Edit, type Result } from "./applied";
import type { SingleCommand } from "./command";
import type { Job, Room } from "./job";
import type { RoomCommand } from "./room-commands";
import { emptySpace, type RoomReading, type Space } from "./space";

/** Makes an edit of a room as it was measured. */
export function applyToRoom(job: Job, command: RoomCommand): Result {
  const room = job.rooms.find(({ id }) => id === command.room);
  if (!room) return refused({ code: "no-such-room", room: command.room });
  switch (command.kind) {
    case "measure-room":
      return measure(job, room, command);
    case "forget-space":
      return changed(job, room, command.space, { ...command, space: room.space });
    case "place-unit":
      return place(job, room, command);
    case "note-reading":
      return note(job, room, command);
    default:
      return unreachable(command);
  }
}

/** The first edit of a room that nobody measured makes its space, and its undo takes that away again. */
function changed(job: Job, room: Room, space: Space | null, inverse: SingleCommand): Result {
  return done({
    job: { ...job, rooms: job.rooms.map((row) => (row === room ? { ...row, space } : row)) },
    inverse: room.space === null ? { kind: "forget-space", room: room.id, space: null } : inverse,
  });
}

function measure(job: Job, room: Room, command: Edit<"measure-room">): Result {
  const space = room.space ?? emptySpace();
  const given = withoutUndefined(command.fields);
  const seats = given.seats ?? space.seats;
  const twice = seats.find(({ id }, at) => seats.findIndex((other) => other.id === id) < at);
  if (twice) return refused({ code: "id-taken", id: twice.id });
  return changed(job, room, { ...space, ...given }, { ...command, fields: fieldsOf(space, given) });
}

const isOf =
  ({ device, unit }: { device: string; unit: string }) =>
  (row: { device: string; unit: string }): boolean =>
    row.device === device && row.unit === unit;

function place(job: Job, room: Room, command: Edit<"place-unit">): Result {
  const space = room.space ?? emptySpace();
  const { to } = command;
  if (to && !isOf(command)(to)) return refused({ code: "value-out-of-range", field: "to", expected: "the unit that is placed" });
  const before = space.placements.find(isOf(command)) ?? null;
  return changed(
    job,
    room,
    { ...space, placements: exchanged(space.placements, before, to, command.at) },
    { ...command, to: before, at: placeOf(space.placements, before) },
  );
}

function note(job: Job, room: Room, command: Edit<"note-reading">): Result {
  const space = room.space ?? emptySpace();
  const { about, reading } = command;
  const isAbout = (row: RoomReading) => isOf(about)(row) && row.channel === about.channel && row.seat === about.seat && row.of === about.of;
  if (reading && !isAbout(reading)) return refused({ code: "value-out-of-range", field: "reading", expected: "what it is about" });
  const before = space.readings.find(isAbout) ?? null;
  return changed(
    job,
    room,
    { ...space, readings: exchanged(space.readings, before, reading, command.at) },
    { ...command, reading: before, at: placeOf(space.readings, before) },
  );
}

const placeOf = <Row>(rows: readonly Row[], row: Row | null): number | null => (row === null ? null : rows.indexOf(row));

/** One row in the place of another, where that was; a new one at a place of its own, so that an undo brings the same document back. */
function exchanged<Row>(rows: readonly Row[], before: Row | null, after: Row | null, at: number | null): Row[] {
  if (before === null) return after === null ? [...rows] : insert(rows, after, at);
  return rows.flatMap((row) => (row === before ? (after ?? []) : row));
}
