import { unitsOf, type Device, type SpeakerUnit } from "@/core/device";
import { channelsOf, type Channel } from "@/core/facts";
import { emptySpace, type Job, type Placement, type Room, type Seat, type Space } from "@/core/job";

/** A box of a sound system, and where it is in its room. */
export interface RoomUnit {
  readonly device: Device;
  readonly unit: SpeakerUnit;
  readonly placement: Placement | null;
}

/** A room ready for questions. */
export interface RoomScene {
  readonly room: Room;
  readonly space: Space;
  readonly units: readonly RoomUnit[];
}

/** The room that a device counts to: its own, else the first of the job. */
export const roomOfDevice = (job: Job, { room }: Pick<Device, "room">): Room | undefined =>
  job.rooms.find(({ id }) => id === room) ?? job.rooms[0];

/** A room with the boxes of every sound system that belongs to it. */
export function sceneOf(job: Job, room: Room): RoomScene {
  const space = room.space ?? emptySpace();
  const placed = new Map(space.placements.map((placement) => [`${placement.device} ${placement.unit}`, placement]));
  const units = job.devices
    .filter((device) => roomOfDevice(job, device)?.id === room.id)
    .flatMap((device) => unitsOf(device).map((unit) => ({ device, unit, placement: placed.get(`${device.id} ${unit.id}`) ?? null })));
  return { room, space, units };
}

/** The seat that everything is fitted to: the first; null where none was written down. */
export const mainSeat = ({ seats }: Space): Seat | null => seats[0] ?? null;

/** Every channel that a sound system plays. */
export const layoutOf = ({ speakers }: Device): readonly Channel[] => (speakers ? channelsOf(speakers.bed, speakers.heights) : []);
