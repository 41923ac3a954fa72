import { isHeight } from "@/core/facts";
import type { Obstacle, Placement, Space, Spot } from "@/core/job";
import { ceilingPlane, heightAbove } from "./ceiling-plane";
import { mainSeat, type RoomUnit } from "./units-in-room";
import { areaOf, inward, isInside, wallsOf } from "./walls";
import { spotDistance } from "./vector";

/** Feet of leads and free air behind a unit. */
const FROM_WALL_M = 0.12;
/** An outlet serves a unit this far away. */
const OUTLET_REACH_M = 2;

const FINE_M = 0.1;
/** So many spots along the side of a room are tried; in a hall they are further apart. */
const MOST_ALONG = 70;

/** How far apart the spots of a room are that are tried, in whole centimetres. */
export const gridFor = ({ outline }: Pick<Space, "outline">): number =>
  outline ? Math.max(FINE_M, Math.ceil((Math.sqrt(areaOf(outline)) / MOST_ALONG) * 100) / 100) : FINE_M;

/** Every place on the grid that a unit could have: along the walls, on the floor, at the ceiling; nothing forbidden. */
export const placesFor = (space: Space, one: RoomUnit, gridM: number): readonly Placement[] =>
  spotsFor(space, one, gridM).flatMap(({ at, mount }) =>
    heightsFor(space, one).map((heightM): Placement => ({
      device: one.device.id,
      unit: one.unit.id,
      at,
      heightM,
      facingDeg: null,
      mount: mountAt(one, mount, heightM),
      wireM: null,
      inWall: false,
    })),
  );

/** Whether a unit that needs mains has an outlet near; a room without any written down is taken to have them everywhere. */
export const hasPower = ({ outlets }: Space, { unit }: RoomUnit, { at }: Placement): boolean =>
  !unit.mains || !outlets.length || outlets.some((outlet) => spotDistance(outlet.at, at) <= OUTLET_REACH_M);

function heightsFor(space: Space, one: RoomUnit): readonly number[] {
  const seat = mainSeat(space);
  const channels = one.unit.drivers.map(({ channel }) => channel);
  const isLow = channels.length === 0 || channels.every((channel) => channel === "LFE");
  const tall = (one.unit.size?.heightMm ?? 200) / 2000;
  if (isLow) return [tall];
  const plane = ceilingPlane(space);
  const ceiling = plane && seat?.at ? heightAbove(plane, seat.at) : 2.4;
  if (channels.every(isHeight)) return [ceiling - 0.05, ceiling - 0.3];
  if (one.unit.drivers.length > 2 && space.screen) return [Math.max(tall, space.screen.lowerEdgeM - tall - 0.06)];
  return [seat?.earM ?? 1.1, Math.min((seat?.earM ?? 1.1) + 0.3, ceiling - 0.3)];
}

const mountAt = ({ unit }: RoomUnit, at: "wall" | "floor" | "ceiling", heightM: number): Placement["mount"] => {
  const isLow = unit.drivers.every(({ channel }) => channel === "LFE");
  if (isLow) return "floor";
  if (at === "ceiling") return "ceiling";
  return at === "wall" && (unit.holes.length > 0 || heightM > 1.6) ? "wall" : "stand";
};

interface TriedSpot {
  readonly at: Spot;
  readonly mount: "wall" | "floor" | "ceiling";
}

/** Spots along every wall, and a grid of the floor; heights also hang anywhere from the ceiling. */
function spotsFor(space: Space, { unit }: RoomUnit, gridM: number): readonly TriedSpot[] {
  const outline = space.outline ?? [];
  const isBar = unit.drivers.length > 2;
  const away = Math.max(FROM_WALL_M, (unit.size?.depthMm ?? 0) / 2000 + (unit.keepFree.includes("back") ? 0.1 : 0.02));
  const half = (unit.size?.widthMm ?? 200) / 2000;
  const walls = wallsOf(outline).flatMap((wall) => {
    const into = inward(outline, wall);
    const along = { x: (wall.to.x - wall.from.x) / wall.lengthM, y: (wall.to.y - wall.from.y) / wall.lengthM };
    const count = Math.floor((wall.lengthM - 2 * half) / gridM);
    // Counted from the middle of the wall, so that the middle itself and mirrored spots are tried.
    return Array.from({ length: Math.max(0, count) + 1 }, (_, index): TriedSpot => {
      const from = wall.lengthM / 2 + (index - Math.max(0, count) / 2) * gridM;
      return { at: { x: wall.from.x + along.x * from + into.x * away, y: wall.from.y + along.y * from + into.y * away }, mount: "wall" };
    });
  });
  const overhead = unit.drivers.length > 0 && unit.drivers.every(({ channel, tiltDeg }) => isHeight(channel) && tiltDeg === null);
  const isLow = unit.drivers.every(({ channel }) => channel === "LFE");
  // Low notes gain by a wall, and people by a free floor.
  const floor = isBar || isLow ? [] : gridOf(outline, gridM).map((at): TriedSpot => ({ at, mount: overhead ? "ceiling" : "floor" }));
  const middle: TriedSpot[] = isBar && space.screen ? [{ at: { x: space.screen.at.x, y: space.screen.at.y + away }, mount: "wall" }] : [];
  return [...middle, ...walls, ...floor].filter(
    ({ at, mount }) => isInside(outline, at) && !isForbidden(space.obstacles, at, mount) && !(isLow && isUnderScreen(space, at)),
  );
}

function gridOf(outline: readonly Spot[], gridM: number): readonly Spot[] {
  const [xs, ys] = [outline.map(({ x }) => x), outline.map(({ y }) => y)];
  const step = gridM * 2;
  const from = (all: readonly number[]) => Math.min(...all) + step;
  const count = (all: readonly number[]) => Math.max(0, Math.floor((Math.max(...all) - Math.min(...all)) / step) - 1);
  return Array.from({ length: count(xs) }, (_, i) =>
    Array.from({ length: count(ys) }, (__, j) => ({ x: from(xs) + i * step, y: from(ys) + j * step })),
  ).flat();
}

/** Under the screen stands what is there already: a cabinet, the bar, the players. */
const isUnderScreen = ({ screen }: Space, at: Spot): boolean =>
  screen !== null && Math.abs(at.x - screen.at.x) < screen.widthM / 2 + 0.15 && Math.abs(at.y - screen.at.y) < 0.7;

const isForbidden = (obstacles: readonly Obstacle[], at: Spot, mount: TriedSpot["mount"]): boolean =>
  obstacles.some(
    ({ kind, at: middle, widthM, depthM }) =>
      (kind === "keep-clear" ||
        kind === "door" ||
        (kind === "window" && mount === "wall") ||
        (kind === "furniture" && mount === "floor")) &&
      Math.abs(at.x - middle.x) <= widthM / 2 + 1e-9 &&
      Math.abs(at.y - middle.y) <= depthM / 2 + 0.15,
  );
