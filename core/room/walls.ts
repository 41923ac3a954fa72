import { present } from "@/core/outcome";
import type { Space, Spot } from "@/core/job";
import { spotDistance } from "./vector";

/** One wall of the outline, from corner to corner. */
export interface Wall {
  readonly from: Spot;
  readonly to: Spot;
  readonly lengthM: number;
}

/** The walls in the order of the corners. */
export const wallsOf = (outline: readonly Spot[]): readonly Wall[] =>
  outline.map((from, index) => {
    const to = present(outline[(index + 1) % outline.length], "corner");
    return { from, to, lengthM: spotDistance(from, to) };
  });

/** The rectangle of a room that is so wide and so deep, with the screen's wall at `y` 0. */
export const rectangle = (widthM: number, depthM: number): Spot[] => [
  { x: 0, y: 0 },
  { x: widthM, y: 0 },
  { x: widthM, y: depthM },
  { x: 0, y: depthM },
];

/** The width and depth of an outline that is a rectangle along the walls; null for any other. */
export function rectangleSize(
  outline: readonly Spot[],
): { readonly x: number; readonly y: number; readonly width: number; readonly depth: number } | null {
  const box = boundsOf(outline);
  const isCorner = ({ x, y }: Spot) => (near(x, box.x) || near(x, box.x + box.width)) && (near(y, box.y) || near(y, box.y + box.depth));
  return outline.length === 4 && outline.every(isCorner) && near(areaOf(outline), box.width * box.depth) ? box : null;
}

const near = (a: number, b: number): boolean => Math.abs(a - b) < 1e-6;

export function boundsOf(outline: readonly Spot[]) {
  const [xs, ys] = [outline.map(({ x }) => x), outline.map(({ y }) => y)];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, depth: Math.max(...ys) - y };
}

/** The area of a simple polygon in m², by the shoelace formula. */
export const areaOf = (outline: readonly Spot[]): number =>
  Math.abs(wallsOf(outline).reduce((sum, { from, to }) => sum + from.x * to.y - to.x * from.y, 0)) / 2;

/** Whether a spot is inside the walls; one on a wall counts. */
export function isInside(outline: readonly Spot[], spot: Spot): boolean {
  if (wallsOf(outline).some((wall) => nearestOn(wall, spot).distanceM < 1e-6)) return true;
  return (
    wallsOf(outline).filter(({ from, to }) => from.y > spot.y !== to.y > spot.y && spot.x < crossing(from, to, spot.y)).length % 2 === 1
  );
}

const crossing = (from: Spot, to: Spot, y: number): number => from.x + ((y - from.y) / (to.y - from.y)) * (to.x - from.x);

/** The spot of a wall that is nearest to another spot, how far along the wall it is, and how far away. */
export function nearestOn(wall: Wall, spot: Spot): { readonly spot: Spot; readonly alongM: number; readonly distanceM: number } {
  const { from, to, lengthM } = wall;
  if (lengthM === 0) return { spot: from, alongM: 0, distanceM: spotDistance(from, spot) };
  const way = { x: (to.x - from.x) / lengthM, y: (to.y - from.y) / lengthM };
  const alongM = Math.max(0, Math.min(lengthM, (spot.x - from.x) * way.x + (spot.y - from.y) * way.y));
  const found = { x: from.x + way.x * alongM, y: from.y + way.y * alongM };
  return { spot: found, alongM, distanceM: spotDistance(found, spot) };
}

/** The wall that a spot is nearest to; null where no outline is known. */
export function nearestWall({ outline }: Pick<Space, "outline">, spot: Spot) {
  if (!outline) return null;
  const all = wallsOf(outline).map((wall) => ({ wall, ...nearestOn(wall, spot) }));
  return all.reduce<(typeof all)[number] | null>((best, one) => (best === null || one.distanceM < best.distanceM ? one : best), null);
}

/** Straight away from a wall into the room, as a direction of length 1. */
export function inward(outline: readonly Spot[], { from, to, lengthM }: Wall): Spot {
  const normal = { x: -(to.y - from.y) / lengthM, y: (to.x - from.x) / lengthM };
  const middle = { x: (from.x + to.x) / 2 + normal.x * 0.01, y: (from.y + to.y) / 2 + normal.y * 0.01 };
  return isInside(outline, middle) ? normal : { x: -normal.x, y: -normal.y };
}

/** Whether two walls that are not neighbours cross, so that the outline is no room. */
export function crossesItself(outline: readonly Spot[]): boolean {
  const walls = wallsOf(outline);
  return walls.some((a, i) => walls.some((b, j) => j > i + 1 && !(i === 0 && j === walls.length - 1) && segmentsCross(a, b)));
}

const turn = (a: Spot, b: Spot, c: Spot): number => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
const segmentsCross = (a: Wall, b: Wall): boolean =>
  turn(a.from, a.to, b.from) * turn(a.from, a.to, b.to) < 0 && turn(b.from, b.to, a.from) * turn(b.from, b.to, a.to) < 0;
