import { z } from "zod";
import { Slug } from "@/core/device";

/** Why somebody came. */
export const VISIT_REASONS = ["survey", "install", "finish", "call-back", "check-up"] as const;
export type VisitReason = (typeof VISIT_REASONS)[number];

/** What a household says has changed since the last visit, as the search for a fault knows it. */
export const HOUSEHOLD_CHANGES = ["a-new-device", "moved", "a-plug", "an-update", "a-power-cut", "a-menu"] as const;
export type HouseholdChange = (typeof HOUSEHOLD_CHANGES)[number];

const rows = z.number().int().min(0).max(100_000);

/**
 * Something that happened to a job and that later visits count on. The note of its entry holds what a person wrote of it.
 */
export const JobEvent = z.discriminatedUnion("event", [
  z.strictObject({
    event: z.literal("visit-ended"),
    day: z.iso.date(),
    reason: z.enum(VISIT_REASONS),
    /** On site; null: nobody counted. */
    minutes: z.number().min(0).max(2880).nullable(),
    /** What the run sheet took it to be. */
    plannedMinutes: z.number().min(0).max(100_000).nullable(),
    /** The household has the room now. */
    handedOver: z.boolean(),
    /** The saved state of the room as it was left; null: none was kept. */
    snapshot: Slug.nullable(),
    /** Rows of the board, and how many of them had all that can be played as the room was found and as it was left. */
    board: z.strictObject({ rows, wholeFound: rows, wholeLeft: rows }).nullable(),
  }),
  /** The household did not want what was proposed. */
  z.strictObject({ event: z.literal("refused") }),
  /** Another visit was promised. */
  z.strictObject({ event: z.literal("promised"), due: z.iso.date() }),
  /** A device took the place of another one. */
  z.strictObject({
    event: z.literal("replaced"),
    device: Slug,
    name: z.string().max(300),
    archetype: z.string().max(120).nullable(),
    /** The name of what is there now. */
    became: z.string().max(300),
  }),
  z.strictObject({ event: z.literal("firmware"), device: Slug, firmware: z.string().trim().min(1).max(80) }),
  /** Somebody called, and told what had changed. */
  z.strictObject({ event: z.literal("called-back"), changed: z.array(z.enum(HOUSEHOLD_CHANGES)).max(HOUSEHOLD_CHANGES.length) }),
]);
export type JobEvent = z.infer<typeof JobEvent>;
export type EventOf<Kind extends JobEvent["event"]> = Extract<JobEvent, { event: Kind }>;
