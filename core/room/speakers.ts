import type { SpeakerDriver } from "@/core/device";
import { mirrorOf, windowOf, type Channel, type SpeakerWindow } from "@/core/facts";
import type { Seat, Space, Spot } from "@/core/job";
import { layoutOf, mainSeat, type RoomScene, type RoomUnit } from "./units-in-room";
import { inward, nearestWall } from "./walls";
import { degrees, distanceBetween, facingOf, facingVector, normalDeg, type Point } from "./vector";

/** One channel of a sound system with its driver, and where that is seen from the main seat; null: not placed, or no seat. */
export interface Speaker extends RoomUnit {
  readonly channel: Channel;
  readonly driver: SpeakerDriver;
  readonly at: Point | null;
  readonly window: SpeakerWindow | null;
  /** Positive to the left of straight ahead, as in ITU-R BS.2051. */
  readonly azimuthDeg: number | null;
  readonly elevationDeg: number | null;
  /** From the main seat's ears, by the positions alone. */
  readonly straightM: number | null;
}

/** Every channel of every sound system in a room. A channel with several drivers is there once for each. */
export function speakersOf(scene: RoomScene): readonly Speaker[] {
  const seat = mainSeat(scene.space);
  return scene.units.flatMap((one) =>
    one.unit.drivers.map((driver): Speaker => {
      const at = driverAt(scene.space, one, driver);
      const seen = at && seat?.at ? seenFrom(scene.space, seat, at) : null;
      const window = windowOf(driver.channel, layoutOf(one.device));
      return {
        ...one,
        channel: driver.channel,
        driver,
        at,
        window,
        azimuthDeg: seen?.azimuthDeg ?? null,
        elevationDeg: seen?.elevationDeg ?? null,
        straightM: seen?.distanceM ?? null,
      };
    }),
  );
}

/** The ears of somebody in a seat; null where nobody measured where it is. */
export const earsOf = ({ at, earM }: Seat): Point | null => at && { ...at, z: earM };

/** Which way somebody in a seat looks: to the middle of the screen, else to the screen's wall. A direction of length 1. */
export function lookOf({ screen }: Pick<Space, "screen">, seat: Spot): Spot {
  const way = screen ? { x: screen.at.x - seat.x, y: screen.at.y - seat.y } : { x: 0, y: -1 };
  const long = Math.hypot(way.x, way.y);
  return long < 1e-9 ? { x: 0, y: -1 } : { x: way.x / long, y: way.y / long };
}

/** A point as it is seen and heard from a seat. */
export function seenFrom(space: Pick<Space, "screen">, { at, earM }: Seat, point: Point) {
  const seat = at ?? { x: 0, y: 0 };
  const look = lookOf(space, seat);
  const [dx, dy, dz] = [point.x - seat.x, point.y - seat.y, point.z - earM];
  const ahead = dx * look.x + dy * look.y;
  const right = -dx * look.y + dy * look.x;
  return {
    azimuthDeg: normalDeg(degrees(Math.atan2(-right, ahead))),
    elevationDeg: degrees(Math.atan2(dz, Math.hypot(dx, dy))),
    distanceM: distanceBetween(point, { ...seat, z: earM }),
  };
}

/** Near a wall a unit of several channels stands straight along it. */
const AGAINST_A_WALL_M = 0.6;

/** Which way the front of a placed unit points. */
export function facingOfUnit(space: Space, { unit, placement }: RoomUnit): number {
  if (!placement) return 0;
  if (placement.facingDeg !== null) return placement.facingDeg;
  const wall = unit.drivers.length > 1 ? nearestWall(space, placement.at) : null;
  if (wall && space.outline && wall.distanceM <= AGAINST_A_WALL_M) return facingOf(inward(space.outline, wall.wall));
  const seat = mainSeat(space)?.at;
  return seat ? facingOf({ x: seat.x - placement.at.x, y: seat.y - placement.at.y }) : 0;
}

/** Where a driver is: its offset is to the right as the listener sees the unit's front. */
export function driverAt(space: Space, one: RoomUnit, { rightMm, upMm }: SpeakerDriver): Point | null {
  const { placement } = one;
  if (!placement) return null;
  const front = facingVector(facingOfUnit(space, one));
  const right = rightMm / 1000;
  return { x: placement.at.x + front.y * right, y: placement.at.y - front.x * right, z: placement.heightM + upMm / 1000 };
}

/** The other speaker of a pair in the same sound system; null where the channel has none. */
export const partnerOf = (speakers: readonly Speaker[], { device, channel }: Speaker): Speaker | null =>
  mirrorOf(channel) === channel
    ? null
    : (speakers.find((other) => other.device.id === device.id && other.channel === mirrorOf(channel)) ?? null);
