import { z } from "zod";
import { Slug } from "@/core/device";
import { BED_IDS, CODING_IDS, VISIT_WORKS } from "@/core/facts";
import { JobEvent } from "./job-event";

/** What can go otherwise in an everyday act. */
export const MISSES = [
  "screen-off",
  "player-off",
  "shows-other",
  "passes-no-picture",
  "hub-elsewhere",
  "system-off",
  "sound-from-screen",
  "sound-from-system",
  "no-sound",
  "still-on",
  "woke",
  "went-off",
  "loudness-stays",
] as const;

/**
 * What was seen where something was proven. Of a row: as predicted, nothing heard, no picture, sound and picture apart, or what the display of
 * the sound system shows, where what it does not show is left out. Of a speaker: another one plays, or the one of the other side. Of an
 * everyday act: what went otherwise, and at which device.
 */
export const Seen = z.union([
  z.enum(["as-predicted", "silent", "no-picture", "sound-early", "sound-late", "other-unit", "other-side", "level-off"]),
  z.strictObject({ miss: z.enum(MISSES), device: Slug.optional() }),
  z.strictObject({ coding: z.enum(CODING_IDS), channels: z.enum(BED_IDS).optional(), objects: z.boolean().optional() }),
]);
export type Seen = z.infer<typeof Seen>;

/** What became of a step: done, tried and not done, or put off to another day. */
export const STEP_STATES = ["done", "not-done", "put-off", "open"] as const;
export type StepState = (typeof STEP_STATES)[number];

/** What is measured at a step: seconds until a device is on, metres, a level, sound after picture, volts. */
export const MEASURED_UNITS = ["s", "m", "dB", "ms", "V"] as const;

/** What a step of a search for a fault was: what was complained of, what was looked at or mended with its answer, or how it ended. */
export const FIX_STEPS = ["symptom", "check", "found", "given-up"] as const;
export const FixStep = z.strictObject({
  /** Which search: a job may have several. */
  walk: z.uuid(),
  step: z.enum(FIX_STEPS),
  /** The symptom, the check or the fault, as the search names it. */
  id: z.string().max(400).default(""),
  answer: z.string().max(400).default(""),
});
export type FixStep = z.infer<typeof FixStep>;

/** One entry of the record of a visit. It is never changed; what is entered later counts, and two devices' entries merge by their ids. */
export const VisitEntry = z.strictObject({
  id: z.uuid(),
  step: z.string().min(1).max(400),
  /** open: an earlier entry was taken back. */
  state: z.enum(STEP_STATES),
  note: z.string().max(2000).default(""),
  /** What was seen where a row was proven; null: nothing was, or the step proves nothing. */
  sees: Seen.nullable().default(null),
  measured: z
    .strictObject({ value: z.number().min(-1e6).max(1e6), unit: z.enum(MEASURED_UNITS) })
    .nullable()
    .default(null),
  /** Photos taken at the step, by their ids. */
  photos: z.array(z.uuid()).max(12).default([]),
  /** Whose minutes count, and how many passed with this step in hand; null: not timed. The firm learns from them. */
  work: z.enum(VISIT_WORKS).nullable().default(null),
  minutes: z.number().min(0).max(1440).nullable().default(null),
  /** A step of a search for a fault; null: of the run sheet or of a proof. */
  fix: FixStep.nullable().default(null),
  /** What happened to the job, that later visits count on; null: it is a step, a proof or a search. */
  event: JobEvent.nullable().default(null),
  at: z.iso.datetime(),
  who: z.string().max(80).default(""),
});
export type VisitEntry = z.infer<typeof VisitEntry>;

/** So many entries of a job are kept; a visit has some hundred. */
export const MOST_ENTRIES = 5000;
