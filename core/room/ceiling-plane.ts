import type { Space } from "@/core/job";
import { boundsOf } from "./walls";
import { degrees, dot, lengthOf, minus, plus, scaled, type Point } from "./vector";

/** A ceiling as a plane: a point of it and the direction straight down from it, of length 1. */
export interface CeilingPlane {
  readonly point: Point;
  readonly normal: Point;
  /** How far it leans from level. */
  readonly slopeDeg: number;
}

/** The plane of a ceiling; null where its height is not known, or it slopes in a room without an outline. */
export function ceilingPlane({ ceiling, outline }: Pick<Space, "ceiling" | "outline">): CeilingPlane | null {
  if (!ceiling) return null;
  if (ceiling.shape === "flat") return { point: { x: 0, y: 0, z: ceiling.heightM }, normal: { x: 0, y: 0, z: -1 }, slopeDeg: 0 };
  if (!outline) return null;
  const { x, y, width, depth } = boundsOf(outline);
  const isAcross = ceiling.runs === "across";
  const rise = (ceiling.toM - ceiling.fromM) / (isAcross ? width : depth);
  const normal = isAcross ? { x: rise, y: 0, z: -1 } : { x: 0, y: rise, z: -1 };
  return {
    point: { x, y, z: ceiling.fromM },
    normal: scaled(normal, 1 / lengthOf(normal)),
    slopeDeg: Math.abs(degrees(Math.atan(rise))),
  };
}

/** The height of the ceiling above a spot of the floor. */
export const heightAbove = ({ point, normal }: CeilingPlane, { x, y }: { readonly x: number; readonly y: number }): number =>
  point.z - (normal.x * (x - point.x) + normal.y * (y - point.y)) / normal.z;

/** A point seen in the ceiling as in a mirror. */
export function mirrored({ point, normal }: CeilingPlane, of: Point): Point {
  const away = dot(minus(of, point), normal);
  return minus(of, scaled(normal, 2 * away));
}

/** Where the straight line between two points on either side of the ceiling meets it. */
export function meets({ point, normal }: CeilingPlane, from: Point, to: Point): Point {
  const way = minus(to, from);
  const share = dot(minus(point, from), normal) / dot(way, normal);
  return plus(from, scaled(way, share));
}
