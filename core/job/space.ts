import { z } from "zod";
import { CHANNELS } from "@/core/facts";
import { Slug } from "@/core/device";

/** No room of this trade is larger. */
const MOST_M = 100;
const metre = z.number().min(-MOST_M).max(MOST_M);
const extent = z.number().positive().max(MOST_M);
const height = z.number().min(0).max(30);
const name = z.string().trim().min(1).max(80);

/** A spot on the floor plan, in metres: `x` to the right and `y` away from the screen's wall, as one sees it who faces the screen. */
export const Spot = z.strictObject({ x: metre, y: metre });
export type Spot = z.infer<typeof Spot>;

/** Flat, or rising evenly in one direction from one wall to the opposite one. */
export const Ceiling = z.discriminatedUnion("shape", [
  z.strictObject({ shape: z.literal("flat"), heightM: z.number().min(1.5).max(30) }),
  z.strictObject({
    shape: z.literal("sloped"),
    /** across: from the left wall to the right one; along: from the screen's wall to the back. */
    runs: z.enum(["across", "along"]),
    fromM: z.number().min(0.5).max(30),
    toM: z.number().min(0.5).max(30),
  }),
]);
export type Ceiling = z.infer<typeof Ceiling>;

/** Where somebody listens. The first seat of a room is the main one. */
export const Seat = z.strictObject({ id: Slug, name, at: Spot.nullable().default(null), earM: height.default(1.1) });
export type Seat = z.infer<typeof Seat>;

/** The picture's area, flat against or in front of the wall at `y` 0 unless placed elsewhere. `at`: the middle of its lower edge. */
export const ScreenPlace = z.strictObject({ at: Spot, widthM: extent, heightM: extent, lowerEdgeM: height });
export type ScreenPlace = z.infer<typeof ScreenPlace>;

/** Something in the way of sound, or a spot where nothing may stand. `at`: its middle. */
export const Obstacle = z.strictObject({
  id: Slug,
  name,
  kind: z.enum(["furniture", "shelf", "door", "window", "keep-clear"]),
  at: Spot,
  widthM: extent,
  depthM: extent,
  fromM: height.default(0),
  toM: height.default(1),
});
export type Obstacle = z.infer<typeof Obstacle>;

export const Outlet = z.strictObject({ id: Slug, at: Spot });

export const MOUNTS = ["floor", "stand", "shelf", "wall", "ceiling"] as const;

/** Where a unit of a sound system is. */
export const Placement = z.strictObject({
  device: Slug,
  unit: Slug,
  at: Spot,
  /** Of the middle of its front above the floor. */
  heightM: height,
  /** Where its front points: 0 away from the screen's wall, 90 to the right wall; null: to the main seat, a bar straight from its wall. */
  facingDeg: z.number().min(-360).max(360).nullable().default(null),
  mount: z.enum(MOUNTS).default("stand"),
  /** The length of its speaker wire as it will run; null: from the positions, along the walls. */
  wireM: z.number().positive().max(500).nullable().default(null),
  /** Its wire runs inside a wall or ceiling. */
  inWall: z.boolean().default(false),
});
export type Placement = z.infer<typeof Placement>;

/** Something that was measured of a unit, or of one channel of it, at a seat. A distance is in metres, a level in dB as the meter read it. */
export const RoomReading = z.strictObject({
  device: Slug,
  unit: Slug,
  channel: z.enum(CHANNELS).nullable().default(null),
  seat: Slug,
  of: z.enum(["distance", "level"]),
  value: z.number().min(0).max(140),
  by: z.enum(["tape", "laser", "meter", "sound"]).default("tape"),
});
export type RoomReading = z.infer<typeof RoomReading>;

/**
 * A room as it was measured. Everything may be missing: with distances alone there is still something to dial.
 * Placements and readings of a device that is gone are kept, and count again when it comes back.
 */
export const Space = z.strictObject({
  /** The corners of the walls in order; null: not measured. */
  outline: z.array(Spot).min(3).max(40).nullable().default(null),
  ceiling: Ceiling.nullable().default(null),
  temperatureC: z.number().min(-30).max(50).nullable().default(null),
  seats: z.array(Seat).max(60).default([]),
  screen: ScreenPlace.nullable().default(null),
  obstacles: z.array(Obstacle).max(60).default([]),
  outlets: z.array(Outlet).max(60).default([]),
  placements: z.array(Placement).max(200).default([]),
  readings: z.array(RoomReading).max(2000).default([]),
  /** The level that all speakers are set to at the main seat, in dB. Source: 70 to 75 dB, SMPTE RP 200 less what a home bears. */
  targetDb: z.number().min(50).max(90).default(75),
  /** How long the household listens on an ordinary day; null: not asked. */
  hoursPerDay: z.number().positive().max(24).nullable().default(null),
});
export type Space = z.infer<typeof Space>;

/** A room of which nothing is measured. */
export const emptySpace = (): Space => Space.parse({});
