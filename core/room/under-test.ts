import { fromShelfOrThrow, type Device, type SpeakerUnitInput } from "@/core/device";
import { readJob, type Job, type Room } from "@/core/job";
import { sceneOf, type RoomScene } from "./units-in-room";
import { rectangle } from "./walls";

interface SpaceGiven {
  readonly [field: string]: unknown;
}

/** A job with one room of 4 by 5 m, a seat in the middle 3 m from the screen wall, and a system of the shelf in it. */
export function jobWith(system: string, space: SpaceGiven, change: SpaceGiven = {}): Job {
  const read = readJob({
    format: "octachord-job",
    version: 3,
    name: "Room",
    rooms: [
      {
        id: "room",
        name: "Room",
        space: {
          outline: rectangle(4, 5),
          ceiling: { shape: "flat", heightM: 2.5 },
          temperatureC: 20,
          seats: [{ id: "seat", name: "Seat", at: { x: 2, y: 3 }, earM: 1.1 }],
          ...space,
        },
      },
    ],
    devices: [{ archetype: system, id: "system", name: "System", ...change }],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.refusal));
  return read.value;
}

export const roomOf = (job: Job): Room => {
  const [room] = job.rooms;
  if (!room) throw new Error("no room");
  return room;
};

export const sceneWith = (system: string, space: SpaceGiven, change: SpaceGiven = {}): RoomScene => {
  const job = jobWith(system, space, change);
  return sceneOf(job, roomOf(job));
};

/** Where a unit is, with the rest as it usually is. */
export const placed = (unit: string, x: number, y: number, heightM = 1.1, rest: SpaceGiven = {}) => ({
  device: "system",
  unit,
  at: { x, y },
  heightM,
  ...rest,
});

/** A spot at a distance and an azimuth from the seat of `jobWith`; positive is left. */
export const around = (azimuthDeg: number, metres: number): { readonly x: number; readonly y: number } => {
  const turned = (azimuthDeg * Math.PI) / 180;
  return { x: 2 - Math.sin(turned) * metres, y: 3 - Math.cos(turned) * metres };
};

/** A loose speaker as somebody writes it down. */
export const loose = (id: string, channel: string, rest: Partial<SpeakerUnitInput> = {}) => ({
  id,
  name: id,
  drivers: [{ channel }],
  feed: { feed: "wire" },
  ...rest,
});

export const receiver = (): Device => fromShelfOrThrow("receiver-51", { id: "system" });
