import type { Device } from "@/core/device";
import type { Job, Room } from "@/core/job";
import { addedByDialling, dialTimes } from "./dial-times";
import { speakersOf } from "./speakers";
import { roomOfDevice, sceneOf } from "./units-in-room";

interface Known {
  readonly units: Device["units"];
  readonly speakers: Device["speakers"];
  readonly dials: Device["dials"];
  readonly addedMs: number;
}

/** By room, which is a new object once anything of it changes, and by device. */
const known = new WeakMap<Room, Map<string, Known>>();

/**
 * What fitting a sound system to its room adds to all that it plays, in ms: its front waits for the units that arrive later.
 * 0 where the device takes no times or its room is not measured.
 */
export function alignmentMs(job: Job, device: Device): number {
  const room = device.dials?.time ? roomOfDevice(job, device) : undefined;
  if (!room?.space) return 0;
  const ofRoom = known.get(room) ?? new Map<string, Known>();
  known.set(room, ofRoom);
  const { units, speakers, dials } = device;
  const before = ofRoom.get(device.id);
  if (before?.units === units && before.speakers === speakers && before.dials === dials) return before.addedMs;
  const scene = sceneOf(job, room);
  const own = speakersOf({ ...scene, units: scene.units.filter((one) => one.device.id === device.id) });
  const addedMs = addedByDialling(dialTimes(scene.space, own));
  ofRoom.set(device.id, { units, speakers, dials, addedMs });
  return addedMs;
}
