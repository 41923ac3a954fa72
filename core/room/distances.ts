import { speedOfSound, USUAL_CELSIUS } from "@/core/facts";
import type { RoomReading, Space } from "@/core/job";
import { distanceBetween } from "./vector";
import { earsOf, type Speaker } from "./speakers";
import { upFiringOf } from "./up-firing";
import { mainSeat } from "./units-in-room";

/** How far a speaker is from a seat, and how that is known. Sound that comes by way of the ceiling has the longer way. */
export interface KnownDistance {
  readonly metres: number;
  readonly from: "measured" | "position";
}

/** The speed of sound in a room at its temperature, in m/s; 20 °C where nobody measured it. */
export const speedIn = ({ temperatureC }: Pick<Space, "temperatureC">): number => speedOfSound(temperatureC ?? USUAL_CELSIUS);

/** What was measured of a speaker at a seat: of its channel first, else of its whole unit. */
export const readingOf = (space: Space, { device, unit, channel }: Speaker, seat: string, of: RoomReading["of"]): RoomReading | null => {
  const here = space.readings.filter((row) => row.device === device.id && row.unit === unit.id && row.seat === seat && row.of === of);
  return here.find((row) => row.channel === channel) ?? here.find((row) => row.channel === null) ?? null;
};

/** The distances of all speakers from a seat, in their order; null where neither a reading nor a position tells. */
export function distancesFrom(space: Space, speakers: readonly Speaker[], seatId: string): readonly (KnownDistance | null)[] {
  const seat = space.seats.find(({ id }) => id === seatId);
  const overCeiling = new Map(
    seat === mainSeat(space)
      ? upFiringOf(space, speakers).flatMap((way) => (way.spoiledBy ? [] : [[way.speaker, way.pathM] as const]))
      : [],
  );
  const ears = seat && earsOf(seat);
  return speakers.map((speaker) => {
    const reading = readingOf(space, speaker, seatId, "distance");
    if (reading) return { metres: reading.value, from: "measured" };
    const over = overCeiling.get(speaker);
    if (over !== undefined) return { metres: over, from: "position" };
    return ears && speaker.at ? { metres: distanceBetween(ears, speaker.at), from: "position" } : null;
  });
}
