import type { Placement } from "@/core/job";
import { bassCurves, cuboidOf } from "./modes";
import { earsOf } from "./speakers";
import { hasPower, placesFor } from "./spots";
import type { RoomScene, RoomUnit } from "./units-in-room";

/** A place for the subwoofer, and how uneven it is at the worst seat. */
export interface BassSpot {
  readonly one: RoomUnit;
  readonly placement: Placement;
  /** From the loudest to the softest frequency at the seat where that is most; an estimate. */
  readonly spreadDb: number;
}

const APART_M = 0.4;

/**
 * Places along the walls for a subwoofer, the most even first. Empty where there is none, the room is no box, or no seat is placed.
 * @param most how many are told
 */
export function bassSpots(scene: RoomScene, most: number): readonly BassSpot[] {
  const { space, units } = scene;
  const room = cuboidOf(space);
  const one = units.find(({ unit }) => unit.drivers.length > 0 && unit.drivers.every(({ channel }) => channel === "LFE"));
  const seats = space.seats.flatMap((seat) => earsOf(seat) ?? []);
  if (!room || !one || !seats.length) return [];
  return placesFor(space, one, APART_M)
    .filter((placement) => hasPower(space, one, placement))
    .map((placement): BassSpot => {
      const curves = bassCurves(room, { ...placement.at, z: placement.heightM }, seats, space.temperatureC);
      return { one, placement, spreadDb: Math.max(...curves.map(({ spreadDb }) => spreadDb)) };
    })
    .toSorted((a, b) => a.spreadDb - b.spreadDb)
    .slice(0, most);
}
