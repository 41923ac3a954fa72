import { z } from "zod";

/** A figure that can be dialled from `min` to `max` by `step`. */
const figures = { min: z.number().min(-1000).max(1000), max: z.number().min(-1000).max(1000), step: z.number().positive().max(1000) };

/** What a level is set with: decibels, or a few named steps that are worth about so many decibels each. */
export const LevelDial = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("decibels"), ...figures }),
  z.strictObject({
    kind: z.literal("named"),
    steps: z
      .array(z.strictObject({ name: z.string().min(1).max(20), db: z.number().min(-40).max(40) }))
      .min(2)
      .max(20),
  }),
]);
export type LevelDial = z.infer<typeof LevelDial>;

/** What a device asks for in place of a true delay: the distance of each speaker, or its delay. */
export const TimeDial = z.strictObject({
  kind: z.enum(["distance", "delay"]),
  ...figures,
  /** What every unit has from the factory. */
  usual: z.number().min(-1000).max(1000),
  unit: z.enum(["m", "ft", "ms"]),
});
export type TimeDial = z.infer<typeof TimeDial>;

/** What can be dialled at a sound system to fit it to its room. */
export const Dials = z.strictObject({
  time: TimeDial.nullable().default(null),
  /** Left and right of a pair have one time dial between them. */
  pairsShareTime: z.boolean().default(false),
  trim: LevelDial.nullable().default(null),
  /** Left and right of a pair have one level dial between them. */
  pairsShareTrim: z.boolean().default(false),
  subwoofer: LevelDial.nullable().default(null),
  /** Crossover frequencies to choose from, in Hz; empty: none to choose. */
  crossoversHz: z.array(z.number().int().min(20).max(500)).max(20).default([]),
  /** It measures the room itself. */
  calibrates: z.enum(["own-microphones", "plugged-microphone", "none"]).default("none"),
  testTone: z.boolean().default(false),
  /** It has a mode that lifts speech. */
  voiceMode: z.boolean().default(false),
  /** How what was dialled is kept. */
  saves: z.enum(["at-once", "menu", "long-press"]).default("at-once"),
  /** The least load of its amplifiers, in Ω; null: not known, or it has none to connect. */
  leastOhm: z.number().min(1).max(32).nullable().default(null),
});
export type Dials = z.infer<typeof Dials>;
export type DialsInput = z.input<typeof Dials>;
