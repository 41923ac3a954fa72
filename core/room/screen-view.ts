import type { Space } from "@/core/job";
import { degrees } from "./vector";
import { mainSeat, type RoomUnit } from "./units-in-room";

/** How the screen is seen from the main seat. */
export interface ScreenView {
  readonly distanceM: number;
  /** The angle that its width fills. Source: SMPTE EG 18, at least 30°; 40° for cinema. */
  readonly viewingDeg: number;
  /** From the eyes to the middle of the screen: positive is up. Above 15° necks tire. */
  readonly upDeg: number;
}

export const VIEWING_DEG = { least: 30, most: 50 } as const;
export const MOST_UP_DEG = 15;

/** How the screen is seen; null where screen or seat are not measured. Eyes are taken to be as high as the ears. */
export function screenView(space: Space): ScreenView | null {
  const seat = mainSeat(space);
  const { screen } = space;
  if (!seat?.at || !screen) return null;
  const distanceM = Math.hypot(screen.at.x - seat.at.x, screen.at.y - seat.at.y);
  if (distanceM < 0.01) return null;
  return {
    distanceM,
    viewingDeg: 2 * degrees(Math.atan(screen.widthM / 2 / distanceM)),
    upDeg: degrees(Math.atan((screen.lowerEdgeM + screen.heightM / 2 - seat.earM) / distanceM)),
  };
}

/** A screen's infrared eye sits in its lower edge; a unit whose top comes closer than this may hide it. */
const EYE_M = 0.04;

/** The units that stand before the picture or its infrared eye, and by how much their top is above its lower edge; negative: below it. */
export function coversScreen({ screen }: Space, units: readonly RoomUnit[]): readonly { readonly one: RoomUnit; readonly byM: number }[] {
  if (!screen) return [];
  return units.flatMap((one) => {
    const { placement, unit } = one;
    if (!placement || !unit.size) return [];
    const isBefore =
      placement.at.y >= screen.at.y - 0.05 &&
      placement.at.y <= screen.at.y + 1 &&
      Math.abs(placement.at.x - screen.at.x) < (screen.widthM + unit.size.widthMm / 1000) / 2;
    const byM = placement.heightM + unit.size.heightMm / 2000 - screen.lowerEdgeM;
    const isBelowTop = placement.heightM - unit.size.heightMm / 2000 < screen.lowerEdgeM + screen.heightM;
    return isBefore && byM > -EYE_M && isBelowTop ? [{ one, byM }] : [];
  });
}
