import { z } from "zod";
import { Slug } from "@/core/device";

/** A step that a person added by hand. It stays between the two steps where it was put, as long as these are there. */
export const AddedStep = z.strictObject({
  id: Slug,
  says: z.string().trim().min(1).max(300),
  /** Minutes of hands. */
  minutes: z.number().min(0.5).max(480),
  /** The id of the step that it follows, and of the one that it comes before; null: none. */
  after: z.string().max(400).nullable().default(null),
  before: z.string().max(400).nullable().default(null),
});
export type AddedStep = z.infer<typeof AddedStep>;

/** What is agreed about the visit itself. */
export const VisitPlan = z.strictObject({
  /** When it begins, as HH:MM; null: not agreed. */
  at: z
    .string()
    .regex(/^([01]\d|2[0-3]):[0-5]\d$/)
    .nullable()
    .default(null),
  /** The time that the household was told; null: none. */
  agreedMinutes: z.number().int().min(5).max(2880).nullable().default(null),
  people: z.union([z.literal(1), z.literal(2)]).default(1),
  address: z.string().max(300).default(""),
  /** Devices that get power first, in this order, where the usual order does not suit this room. */
  powerOrder: z.array(Slug).max(200).default([]),
  added: z.array(AddedStep).max(100).default([]),
});
export type VisitPlan = z.infer<typeof VisitPlan>;
