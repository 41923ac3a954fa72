import type { SpeakerWindow } from "@/core/facts";
import type { Space, Spot } from "@/core/job";
import { boundsOf, lookOf } from "@/core/room";

/** From metres of a room to the units of a drawing. */
export interface PlanScale {
  readonly perMetre: number;
  readonly x: (metres: number) => number;
  readonly y: (metres: number) => number;
  /** Back from the drawing to the room. */
  readonly spot: (x: number, y: number) => Spot;
}

/** The largest scale at which a room fits into a drawing, in its middle. Without an outline a room of 5 by 5 m is taken. */
export function planScale({ outline }: Pick<Space, "outline">, width: number, height: number, margin: number): PlanScale {
  const box = outline ? boundsOf(outline) : { x: 0, y: 0, width: 5, depth: 5 };
  const perMetre = Math.max(1, Math.min((width - 2 * margin) / Math.max(box.width, 0.5), (height - 2 * margin) / Math.max(box.depth, 0.5)));
  const [left, top] = [(width - box.width * perMetre) / 2 - box.x * perMetre, (height - box.depth * perMetre) / 2 - box.y * perMetre];
  return {
    perMetre,
    x: (metres) => left + metres * perMetre,
    y: (metres) => top + metres * perMetre,
    spot: (x, y) => ({ x: (x - left) / perMetre, y: (y - top) / perMetre }),
  };
}

/** The way that an azimuth goes on the plan: positive is to the left of the look. */
export function azimuthVector(look: Spot, azimuthDeg: number): Spot {
  const turned = (azimuthDeg * Math.PI) / 180;
  const left = { x: look.y, y: -look.x };
  return { x: look.x * Math.cos(turned) + left.x * Math.sin(turned), y: look.y * Math.cos(turned) + left.y * Math.sin(turned) };
}

/** The window of a channel as a wedge from a seat, as an SVG path. */
export function wedgePath(space: Space, seat: Spot, { minDeg, maxDeg }: SpeakerWindow, reachM: number, scale: PlanScale): string {
  const look = lookOf(space, seat);
  const steps = Math.max(2, Math.ceil((maxDeg - minDeg) / 4));
  const rim = Array.from({ length: steps + 1 }, (_, index) => azimuthVector(look, minDeg + ((maxDeg - minDeg) * index) / steps));
  const points = rim.map(({ x, y }) => `${scale.x(seat.x + x * reachM).toFixed(1)} ${scale.y(seat.y + y * reachM).toFixed(1)}`);
  return `M${scale.x(seat.x).toFixed(1)} ${scale.y(seat.y).toFixed(1)}L${points.join("L")}Z`;
}

/** Corners as the points of an SVG polygon. */
export const outlinePoints = (outline: readonly Spot[], scale: PlanScale): string =>
  outline.map(({ x, y }) => `${scale.x(x).toFixed(1)},${scale.y(y).toFixed(1)}`).join(" ");
