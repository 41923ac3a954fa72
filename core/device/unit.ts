import { z } from "zod";
import { CHANNELS } from "@/core/facts";
import { UNIT_STATES } from "./device-state";
import { Slug } from "./slug";

const mm = z.number().positive().max(5000);

/** A driver, or a group of drivers, that plays one channel. Offsets from the middle of the unit's front, as the listener sees it. */
export const SpeakerDriver = z.strictObject({
  channel: z.enum(CHANNELS),
  rightMm: z.number().min(-3000).max(3000).default(0),
  upMm: z.number().min(-3000).max(3000).default(0),
  /** How far its axis is tilted up from level, as a driver that plays by way of the ceiling; null: it plays straight ahead. */
  tiltDeg: z.number().min(20).max(90).nullable().default(null),
});
export type SpeakerDriver = z.infer<typeof SpeakerDriver>;

/** How a unit gets its sound. */
export const UnitFeed = z.discriminatedUnion("feed", [
  /** It is the device itself: its sockets are in it. */
  z.strictObject({ feed: z.literal("own") }),
  /** Speaker wire from the device, which the installer runs. */
  z.strictObject({ feed: z.literal("wire") }),
  /** A lead that comes with it, of one length, from another unit. */
  z.strictObject({
    feed: z.literal("lead"),
    from: Slug,
    lengthM: z.number().positive().max(100),
    colour: z.string().max(40).default(""),
  }),
  /** Through the air. `laterMs`: how much later than the wired units it plays. `rangeM`: as far as its maker says, in one room. */
  z.strictObject({
    feed: z.literal("wireless"),
    laterMs: z.number().min(0).max(500).default(0),
    rangeM: z.number().positive().max(200).nullable().default(null),
    /** It is joined at the factory, or by itself once it has power; otherwise it is paired. */
    pairs: z.enum(["by-itself", "by-hand"]).default("by-hand"),
  }),
]);
export type UnitFeed = z.infer<typeof UnitFeed>;

/** Which side of a unit must keep free air: a bass port, a driver on its side, controls. */
export const UNIT_SIDES = ["front", "back", "left", "right", "top"] as const;

/** One box of a sound system: the bar, a satellite, the subwoofer, or the amplifier that plays nothing itself. */
export const SpeakerUnit = z.strictObject({
  id: Slug,
  name: z.string().trim().min(1).max(80),
  drivers: z.array(SpeakerDriver).max(16).default([]),
  feed: UnitFeed,
  /** Width, height and depth; null: not known. */
  size: z.strictObject({ widthMm: mm, heightMm: mm, depthMm: mm }).nullable().default(null),
  massKg: z.number().positive().max(300).nullable().default(null),
  /** The holes of its wall bracket, from the middle of its back; empty: none, or not known. */
  holes: z
    .array(z.strictObject({ rightMm: z.number().min(-3000).max(3000), upMm: z.number().min(-3000).max(3000), diameterMm: mm }))
    .max(24)
    .default([]),
  /** Passive speakers only; null: active, or not known. */
  passive: z
    .strictObject({ ohm: z.number().min(1).max(64), sensitivityDb: z.number().min(60).max(120).nullable().default(null) })
    .nullable()
    .default(null),
  /** It needs a mains outlet near it. */
  mains: z.boolean().default(false),
  battery: z
    .strictObject({ hours: z.number().positive().max(200), chargeHours: z.number().positive().max(48) })
    .nullable()
    .default(null),
  keepFree: z.array(z.enum(UNIT_SIDES)).max(5).default([]),
  /** How it plays at the moment. */
  state: z.enum(UNIT_STATES).default("plays"),
});
export type SpeakerUnit = z.infer<typeof SpeakerUnit>;
export type SpeakerUnitInput = z.input<typeof SpeakerUnit>;
