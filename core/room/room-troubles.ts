import type { RoomScene } from "./units-in-room";
import { ceilingPlane, heightAbove } from "./ceiling-plane";
import type { SpeakerUnit } from "@/core/device";
import type { Placement, Space } from "@/core/job";
import { crossesItself, isInside, nearestWall } from "./walls";

/** Air that a bass port wants behind it. Source: makers' manuals, a hand's breadth. */
const PORT_M = 0.1;

function isPortBlocked(space: Space, { keepFree, size, holes }: SpeakerUnit, { at, mount }: Placement): boolean {
  const near = keepFree.includes("back") && holes.length === 0 && mount !== "wall" ? nearestWall(space, at) : null;
  return near !== null && near.distanceM < (size?.depthMm ?? 0) / 2000 + PORT_M - 0.005;
}

/** A measurement that cannot be right, or that contradicts another. */
export type RoomTrouble =
  | { readonly code: "outline-crosses" }
  | { readonly code: "seat-outside"; readonly seat: string }
  | { readonly code: "unit-outside"; readonly device: string; readonly unit: string }
  | { readonly code: "screen-outside" }
  | { readonly code: "unit-above-ceiling"; readonly device: string; readonly unit: string; readonly ceilingM: number }
  /** The side that must stay free is against a wall: a bass port, a driver on its back. */
  | { readonly code: "port-near-wall"; readonly device: string; readonly unit: string }
  | { readonly code: "seat-above-ceiling"; readonly seat: string };

/** What does not fit together in a room as it was measured. */
export function roomTroubles({ space, units }: RoomScene): readonly RoomTrouble[] {
  const { outline, seats, screen } = space;
  const plane = ceilingPlane(space);
  const outside = (spot: { x: number; y: number }) => outline !== null && !isInside(outline, spot);
  return [
    ...(outline && crossesItself(outline) ? [{ code: "outline-crosses" } as const] : []),
    ...seats.flatMap(({ id, at, earM }): RoomTrouble[] => [
      ...(at && outside(at) ? [{ code: "seat-outside", seat: id } as const] : []),
      ...(at && plane && earM > heightAbove(plane, at) ? [{ code: "seat-above-ceiling", seat: id } as const] : []),
    ]),
    ...(screen && outside(screen.at) ? [{ code: "screen-outside" } as const] : []),
    ...units.flatMap(({ device, unit, placement }): RoomTrouble[] => {
      if (!placement) return [];
      const ceilingM = plane ? heightAbove(plane, placement.at) : Infinity;
      return [
        ...(outside(placement.at) ? [{ code: "unit-outside", device: device.id, unit: unit.id } as const] : []),
        ...(isPortBlocked(space, unit, placement) ? [{ code: "port-near-wall", device: device.id, unit: unit.id } as const] : []),
        ...(placement.heightM > ceilingM ? [{ code: "unit-above-ceiling", device: device.id, unit: unit.id, ceilingM } as const] : []),
      ];
    }),
  ];
}
