import type { Command, Job, Placement, Room, SingleCommand, Space, Spot } from "@/core/job";
import { emptySpace, freeId } from "@/core/job";
import { unitsOf } from "@/core/device";
import { mirrorOf } from "@/core/facts";
import { lookOf } from "./speakers";
import { mainSeat, sceneOf, type RoomUnit } from "./units-in-room";
import { inward, nearestWall, rectangle } from "./walls";

/** Something of a room that can be chosen and moved. */
export type Thing =
  | { readonly thing: "unit"; readonly device: string; readonly unit: string }
  | { readonly thing: "seat" | "obstacle" | "outlet"; readonly id: string }
  | { readonly thing: "screen" };

export const thingKey = (thing: Thing): string =>
  thing.thing === "unit" ? `unit ${thing.device} ${thing.unit}` : thing.thing === "screen" ? "screen" : `${thing.thing} ${thing.id}`;

/** A thing by its key; null where the key names none. */
export function thingOf(key: string | null): Thing | null {
  const [kind, first, second] = (key ?? "").split(" ");
  if (kind === "screen") return { thing: "screen" };
  if (kind === "unit" && first && second) return { thing: "unit", device: first, unit: second };
  return (kind === "seat" || kind === "obstacle" || kind === "outlet") && first ? { thing: kind, id: first } : null;
}

/** Where a thing is; null where it is not placed. */
export function spotOf(space: Space, thing: Thing): Spot | null {
  switch (thing.thing) {
    case "unit":
      return space.placements.find(({ device, unit }) => device === thing.device && unit === thing.unit)?.at ?? null;
    case "seat":
      return space.seats.find(({ id }) => id === thing.id)?.at ?? null;
    case "obstacle":
      return space.obstacles.find(({ id }) => id === thing.id)?.at ?? null;
    case "outlet":
      return space.outlets.find(({ id }) => id === thing.id)?.at ?? null;
    case "screen":
      return space.screen?.at ?? null;
  }
}

/** The edit that places a unit, in the place it has so far or in a new one. */
export const placeUnit = (room: string, placement: Placement): SingleCommand => ({
  kind: "place-unit",
  room,
  device: placement.device,
  unit: placement.unit,
  to: placement,
  at: null,
});

/** The edit that moves a thing to a spot, to the centimetre; with `together` the other one of a pair moves to the mirrored spot. */
export function moveThing(job: Job, room: Room, thing: Thing, to: Spot, together = false): Command {
  const space = room.space ?? emptySpace();
  const at = { x: hundredths(to.x), y: hundredths(to.y) };
  const measured = (fields: Extract<SingleCommand, { kind: "measure-room" }>["fields"]): Command => ({
    kind: "measure-room",
    room: room.id,
    fields,
  });
  const moved = <Row extends { readonly id: string }>(rows: readonly Row[], id: string) =>
    rows.map((row) => (row.id === id ? { ...row, at } : row));
  switch (thing.thing) {
    case "seat":
      return measured({ seats: moved(space.seats, thing.id) });
    case "obstacle":
      return measured({ obstacles: moved(space.obstacles, thing.id) });
    case "outlet":
      return measured({ outlets: moved(space.outlets, thing.id) });
    case "screen":
      return measured(space.screen ? { screen: { ...space.screen, at } } : {});
    case "unit": {
      const { units } = sceneOf(job, room);
      const one = units.find(({ device, unit }) => device.id === thing.device && unit.id === thing.unit);
      if (!one) return { kind: "batch", commands: [] };
      const placement = { ...(one.placement ?? newPlacement(space, one)), at };
      const partner = together ? partnerUnit(units, one) : null;
      const mirrored = partner && {
        ...(partner.placement ?? newPlacement(space, partner)),
        at: mirroredSpot(space, at),
        heightM: placement.heightM,
      };
      return { kind: "batch", commands: [placeUnit(room.id, placement), ...(mirrored ? [placeUnit(room.id, mirrored)] : [])] };
    }
  }
}

const hundredths = (value: number): number => Number(value.toFixed(2));

/** The unit that plays the mirrored channel; null where there is none of its own. */
export function partnerUnit(units: readonly RoomUnit[], { device, unit }: RoomUnit): RoomUnit | null {
  const [driver] = unit.drivers;
  if (!driver || mirrorOf(driver.channel) === driver.channel) return null;
  const other = units.find((row) => row.device === device && row.unit.drivers[0]?.channel === mirrorOf(driver.channel));
  return other && other.unit !== unit ? other : null;
}

/** A spot seen in the line from the main seat to the screen. */
function mirroredSpot(space: Space, at: Spot): Spot {
  const seat = mainSeat(space)?.at;
  if (!seat) return at;
  const look = lookOf(space, seat);
  const right = -(at.x - seat.x) * look.y + (at.y - seat.y) * look.x;
  return { x: hundredths(at.x + 2 * right * look.y), y: hundredths(at.y - 2 * right * look.x) };
}

/** Where a unit stands that nobody has placed yet: under the screen, or in the middle of the room. */
export function newPlacement(space: Space, { device, unit }: RoomUnit): Placement {
  const xs = (space.outline ?? rectangle(4, 4)).map(({ x }) => x);
  const ys = (space.outline ?? rectangle(4, 4)).map(({ y }) => y);
  const middle = { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 };
  const isFlat = unit.drivers.every(({ channel }) => channel === "LFE");
  const tall = (unit.size?.heightMm ?? 200) / 2000;
  const isBar = unit.drivers.length > 2 && space.screen !== null;
  return {
    device: device.id,
    unit: unit.id,
    at:
      isBar && space.screen
        ? { x: space.screen.at.x, y: hundredths(space.screen.at.y + 0.1) }
        : { x: hundredths(middle.x), y: hundredths(middle.y) },
    heightM: hundredths(
      isFlat ? tall : isBar && space.screen ? Math.max(tall, space.screen.lowerEdgeM - tall - 0.06) : (mainSeat(space)?.earM ?? 1.1),
    ),
    facingDeg: null,
    mount: isFlat ? "floor" : isBar ? "shelf" : "stand",
    wireM: null,
    inWall: false,
  };
}

const SNAP_M = 0.18;

/** A spot for a unit, set against the wall where it is close to one. */
export function snappedToWall(space: Space, { unit }: RoomUnit, at: Spot): Spot {
  const near = nearestWall(space, at);
  const away = (unit.size?.depthMm ?? 200) / 2000 + 0.02;
  if (!near || !space.outline || near.distanceM > SNAP_M + away) return at;
  const into = inward(space.outline, near.wall);
  return { x: near.spot.x + into.x * away, y: near.spot.y + into.y * away };
}

/** The edit that measures a first room: a rectangle with a seat in it. A job without rooms gets one. */
export function beginRoom(
  job: Job,
  room: Room | null,
  size: { readonly widthM: number; readonly depthM: number; readonly heightM: number },
  names: { readonly room: string; readonly seat: string },
): Command {
  const id = room?.id ?? freeId("room-1", new Set(job.rooms.map((row) => row.id)));
  const seat = {
    id: "main",
    name: names.seat,
    at: { x: hundredths(size.widthM / 2), y: hundredths(Math.max(0, size.depthM - 1)) },
    earM: 1.1,
  };
  const rooms: SingleCommand[] = room
    ? []
    : [{ kind: "set-rooms", rooms: [...job.rooms, { id, name: names.room, seats: 0, space: null }] }];
  const fields = {
    outline: rectangle(size.widthM, size.depthM),
    ceiling: { shape: "flat" as const, heightM: size.heightM },
    seats: room?.space?.seats.length ? room.space.seats : [seat],
  };
  return { kind: "batch", commands: [...rooms, { kind: "measure-room", room: id, fields }] };
}

/** Units of the sound systems of a job, for a room that has none of them yet. */
export const hasUnits = (job: Job): boolean => job.devices.some((device) => unitsOf(device).length > 0);
