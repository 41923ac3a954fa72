import { speedOfSound, USUAL_CELSIUS } from "@/core/facts";
import type { Obstacle, ScreenPlace, Space } from "@/core/job";
import { ceilingPlane, heightAbove, meets, mirrored } from "./ceiling-plane";
import { earsOf, seenFrom, type Speaker } from "./speakers";
import { mainSeat } from "./units-in-room";
import { distanceBetween, radians, type Point } from "./vector";

/** What spoils a way over the ceiling. */
export type Spoiler =
  | { readonly code: "obstacle"; readonly id: string }
  | { readonly code: "screen" }
  /** The ceiling leans by so much: the sound goes elsewhere. */
  | { readonly code: "slope"; readonly slopeDeg: number }
  | { readonly code: "ceiling-low"; readonly heightM: number }
  | { readonly code: "ceiling-high"; readonly heightM: number }
  /** The seat is too near or too far for the sound to come from the upper layer. */
  | { readonly code: "distance"; readonly elevationDeg: number };

/** How a driver that plays to the ceiling is heard. */
export interface UpFiring {
  readonly speaker: Speaker;
  /** The driver seen in the ceiling as in a mirror: so high above the floor. */
  readonly imageHeightM: number;
  readonly pathM: number;
  readonly elevationDeg: number;
  readonly azimuthDeg: number;
  /** Where it meets the ceiling, and how far that is from the driver over the floor. */
  readonly bounce: Point;
  readonly bounceM: number;
  /** How much later than straight from the unit. */
  readonly lateMs: number;
  readonly spoiledBy: Spoiler | null;
  /** Seats between these distances over the floor hear it from the upper layer. */
  readonly worksFromM: number;
  readonly worksToM: number;
}

/** Flat, hard ceilings between these heights work. Source: makers' rules for up-firing drivers, 2.3 to 4.3 m. */
export const CEILING_M = { least: 2.3, most: 4.3 } as const;
/** A ceiling that leans more than this sends the sound past the seat. */
const MOST_SLOPE_DEG = 10;

/** Every driver that plays by way of the ceiling, as the main seat hears it. None where the ceiling or the seat is not known. */
export function upFiringOf(space: Space, speakers: readonly Speaker[]): readonly UpFiring[] {
  const seat = mainSeat(space);
  const ears = seat && earsOf(seat);
  const plane = ceilingPlane(space);
  if (!seat || !ears || !plane) return [];
  return speakers.flatMap((speaker): UpFiring[] => {
    const { at, driver } = speaker;
    if (!at || driver.tiltDeg === null || heightAbove(plane, at) <= at.z) return [];
    const image = mirrored(plane, at);
    const bounce = meets(plane, image, ears);
    const { azimuthDeg, elevationDeg, distanceM } = seenFrom(space, seat, image);
    const speed = speedOfSound(space.temperatureC ?? USUAL_CELSIUS);
    const height = heightAbove(plane, at);
    const rise = image.z - ears.z;
    const window = speaker.window ?? UPPER_LAYER;
    const spoiledBy: Spoiler | null =
      plane.slopeDeg > MOST_SLOPE_DEG
        ? { code: "slope", slopeDeg: plane.slopeDeg }
        : height < CEILING_M.least
          ? { code: "ceiling-low", heightM: height }
          : height > CEILING_M.most
            ? { code: "ceiling-high", heightM: height }
            : (inTheWay(space, at, bounce) ?? inTheWay(space, bounce, ears) ?? wrongDistance(window, elevationDeg));
    return [
      {
        speaker,
        imageHeightM: image.z,
        pathM: distanceM,
        elevationDeg,
        azimuthDeg,
        bounce,
        bounceM: Math.hypot(bounce.x - at.x, bounce.y - at.y),
        lateMs: ((distanceM - distanceBetween(at, ears)) / speed) * 1000,
        spoiledBy,
        worksFromM: rise / Math.tan(radians(window.highDeg)),
        worksToM: rise / Math.tan(radians(window.lowDeg)),
      },
    ];
  });
}

/** The upper layer of BS.2051, for a driver whose channel has no window of its own. */
const UPPER_LAYER = { lowDeg: 30, highDeg: 55 } as const;

const wrongDistance = (window: { readonly lowDeg: number; readonly highDeg: number }, elevationDeg: number): Spoiler | null =>
  elevationDeg < window.lowDeg || elevationDeg > window.highDeg ? { code: "distance", elevationDeg } : null;

/** The first thing between two points. What the driver itself stands on is not in its way. */
export function inTheWay(space: Pick<Space, "obstacles" | "screen">, from: Point, to: Point): Spoiler | null {
  const hit = space.obstacles.find(
    (one) => one.kind !== "keep-clear" && one.kind !== "door" && one.kind !== "window" && crosses(boxOf(one), from, to),
  );
  if (hit) return { code: "obstacle", id: hit.id };
  return space.screen && crosses(screenBox(space.screen), from, to) ? { code: "screen" } : null;
}

interface Box {
  readonly low: Point;
  readonly high: Point;
}

const boxOf = ({ at, widthM, depthM, fromM, toM }: Obstacle): Box => ({
  low: { x: at.x - widthM / 2, y: at.y - depthM / 2, z: Math.min(fromM, toM) },
  high: { x: at.x + widthM / 2, y: at.y + depthM / 2, z: Math.max(fromM, toM) },
});

const SCREEN_DEPTH_M = 0.05;
const screenBox = ({ at, widthM, heightM, lowerEdgeM }: ScreenPlace): Box => ({
  low: { x: at.x - widthM / 2, y: at.y - SCREEN_DEPTH_M, z: lowerEdgeM },
  high: { x: at.x + widthM / 2, y: at.y + SCREEN_DEPTH_M, z: lowerEdgeM + heightM },
});

/** Whether a straight line passes through a box, by the slabs of its three sides; touching an edge is not passing. */
function crosses({ low, high }: Box, from: Point, to: Point): boolean {
  let [enters, leaves] = [0, 1];
  for (const axis of ["x", "y", "z"] as const) {
    const way = to[axis] - from[axis];
    if (Math.abs(way) < 1e-12) {
      if (from[axis] <= low[axis] || from[axis] >= high[axis]) return false;
      continue;
    }
    const [a, b] = [(low[axis] - from[axis]) / way, (high[axis] - from[axis]) / way];
    enters = Math.max(enters, Math.min(a, b));
    leaves = Math.min(leaves, Math.max(a, b));
  }
  return leaves - enters > 1e-9;
}
