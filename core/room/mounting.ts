import type { RoomUnit } from "./units-in-room";

/** What holds a unit to a wall or ceiling. */
export interface Mounting {
  readonly one: RoomUnit;
  readonly massKg: number;
  /** What its anchors must be rated for together: four times the weight. Source: trade practice for static loads over people. */
  readonly ratedKg: number;
  readonly anchors: number;
  readonly eachKg: number;
  readonly anchor: AnchorClass;
  readonly needs: readonly ("two-people" | "ladder" | "look-for-cables-and-pipes")[];
}

/** By the load of one anchor: a plug in plasterboard, a toggle behind it, or a screw in a stud or solid wall. */
export type AnchorClass = "plasterboard-plug" | "toggle" | "stud-or-masonry";

const RATED = 4;
/** The most that each kind bears, in kg rated. Source: makers' figures for 12.5 mm board, low end. */
const ANCHOR_KG = { "plasterboard-plug": 8, toggle: 25 } as const;
/** Studs of a framed wall, middle to middle, in mm. Source: usual framing, 400/600 mm and 16/24 in. */
export const STUDS_MM: Readonly<Record<"metric" | "imperial", readonly [near: number, far: number]>> = {
  metric: [400, 600],
  imperial: [406, 610],
};

const HEAVY_KG = 10;
const REACH_M = 2;
const FEWEST_ANCHORS = 2;

/** Every unit that hangs on a wall or ceiling and whose weight is known. */
export function mountingsOf(units: readonly RoomUnit[]): readonly Mounting[] {
  return units.flatMap((one): Mounting[] => {
    const { unit, placement } = one;
    if (unit.massKg === null || (placement?.mount !== "wall" && placement?.mount !== "ceiling")) return [];
    const anchors = Math.max(FEWEST_ANCHORS, unit.holes.length);
    const ratedKg = unit.massKg * RATED;
    const eachKg = ratedKg / anchors;
    const anchor: AnchorClass =
      placement.mount === "ceiling" || eachKg > ANCHOR_KG.toggle
        ? "stud-or-masonry"
        : eachKg > ANCHOR_KG["plasterboard-plug"]
          ? "toggle"
          : "plasterboard-plug";
    return [
      {
        one,
        massKg: unit.massKg,
        ratedKg,
        anchors,
        eachKg,
        anchor,
        needs: [
          "look-for-cables-and-pipes",
          ...(unit.massKg >= HEAVY_KG || (unit.size?.widthMm ?? 0) > 900 ? (["two-people"] as const) : []),
          ...(placement.heightM > REACH_M || placement.mount === "ceiling" ? (["ladder"] as const) : []),
        ],
      },
    ];
  });
}
