import type { Spot } from "@/core/job";

/** A point in a room, in metres: `x` to the right, `y` away from the screen's wall, `z` up from the floor. */
export interface Point extends Readonly<Spot> {
  readonly z: number;
}

export const minus = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z });
export const plus = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y, z: a.z + b.z });
export const scaled = (a: Point, by: number): Point => ({ x: a.x * by, y: a.y * by, z: a.z * by });
export const dot = (a: Point, b: Point): number => a.x * b.x + a.y * b.y + a.z * b.z;
export const lengthOf = (a: Point): number => Math.hypot(a.x, a.y, a.z);
export const distanceBetween = (a: Point, b: Point): number => lengthOf(minus(a, b));
export const spotDistance = (a: Spot, b: Spot): number => Math.hypot(a.x - b.x, a.y - b.y);

export const degrees = (radians: number): number => (radians * 180) / Math.PI;
export const radians = (angle: number): number => (angle * Math.PI) / 180;

/** An angle within (−180, 180]. */
export const normalDeg = (angle: number): number => {
  const turned = ((angle % 360) + 360) % 360;
  return turned > 180 ? turned - 360 : turned;
};

/** The way a facing points on the floor plan: 0 away from the screen's wall, 90 to the right wall. */
export const facingVector = (deg: number): Spot => ({ x: Math.sin(radians(deg)), y: Math.cos(radians(deg)) });
export const facingOf = ({ x, y }: Spot): number => normalDeg(degrees(Math.atan2(x, y)));
