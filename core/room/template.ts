import type { ScreenPlace } from "@/core/job";
import type { RoomScene, RoomUnit } from "./units-in-room";

/** A spot of a drilling template in millimetres: `x` to the right of the middle of the unit, `y` up from it, as it is on the wall. */
export interface TemplateSpot {
  readonly x: number;
  readonly y: number;
}

/** A drilling template of a unit that hangs on brackets, true to size. */
export interface Template {
  readonly one: RoomUnit;
  readonly holes: readonly (TemplateSpot & { readonly diameterMm: number })[];
  readonly widthMm: number;
  readonly heightMm: number;
  /** The lower edge of the screen above the middle of the unit; null: not measured. */
  readonly screenEdgeMm: number | null;
  /** What must stay free above it: up-firing drivers, or the screen's infrared eye. */
  readonly freeAboveMm: number | null;
  /** The middle of the unit above the floor; null: not placed. */
  readonly middleMm: number | null;
}

export type TemplateRefusal =
  | { readonly code: "no-such-unit"; readonly unit: string; readonly units: readonly string[] }
  /** Nobody wrote down where its holes are. */
  | { readonly code: "no-holes"; readonly unit: string };

/** Air that up-firing drivers need above them, in mm. Source: makers' manuals ask for nothing within a hand's breadth. */
const UP_FIRING_MM = 100;
/** What a screen's infrared eye in its lower edge needs. */
const INFRARED_MM = 40;

/** The template of a unit, by its id or by `device/unit`. */
export function templateOf(scenes: readonly RoomScene[], wanted: string): Template | TemplateRefusal {
  const all = scenes.flatMap((scene) => scene.units.map((one) => ({ one, screen: scene.space.screen })));
  const found = all.find(({ one }) => `${one.device.id}/${one.unit.id}` === wanted) ?? all.find(({ one }) => one.unit.id === wanted);
  if (!found) return { code: "no-such-unit", unit: wanted, units: all.map(({ one }) => `${one.device.id}/${one.unit.id}`) };
  const { unit, placement } = found.one;
  if (!unit.holes.length) return { code: "no-holes", unit: wanted };
  const reach = unit.holes.map(({ rightMm, upMm, diameterMm }) => ({ x: Math.abs(rightMm) + diameterMm, y: Math.abs(upMm) + diameterMm }));
  return {
    one: found.one,
    holes: unit.holes.map(({ rightMm, upMm, diameterMm }) => ({ x: rightMm, y: upMm, diameterMm })),
    widthMm: unit.size?.widthMm ?? 2 * Math.max(...reach.map(({ x }) => x)),
    heightMm: unit.size?.heightMm ?? 2 * Math.max(...reach.map(({ y }) => y)),
    screenEdgeMm: placement && isUnder(found.screen, placement.at.x) ? ((found.screen?.lowerEdgeM ?? 0) - placement.heightM) * 1000 : null,
    freeAboveMm: unit.drivers.some(({ tiltDeg }) => tiltDeg !== null) ? UP_FIRING_MM : found.screen ? INFRARED_MM : null,
    middleMm: placement ? placement.heightM * 1000 : null,
  };
}

const isUnder = (screen: ScreenPlace | null, x: number): boolean => screen !== null && Math.abs(x - screen.at.x) < screen.widthM / 2;
