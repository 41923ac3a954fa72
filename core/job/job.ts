import { z } from "zod";
import { CABLE_CLASS_IDS } from "@/core/facts";
import { Device, Slug } from "@/core/device";

/** One end of a cable: a socket of a device. */
export const CableEnd = z.strictObject({ device: Slug, port: Slug });
export type CableEnd = z.infer<typeof CableEnd>;

/** A cable as it lies: picture runs `from` an output `to` an input. */
export const Cable = z.strictObject({
  id: Slug,
  from: CableEnd,
  to: CableEnd,
  class: z.enum(CABLE_CLASS_IDS),
  lengthM: z.number().positive().max(1000),
  /** one-way: an active or optical cable that works in one direction only. */
  direction: z.enum(["either", "one-way"]).default("either"),
  /** The return conductors that are really there; null where nobody knows. */
  returnWires: z.enum(["none", "arc", "earc"]).nullable(),
  label: z.string().max(80).default(""),
});
export type Cable = z.infer<typeof Cable>;

export const Brief = z.strictObject({
  /** The device that sound should come from; null: the first sound system, else the first screen with speakers. */
  soundSystem: Slug.nullable().default(null),
  wishes: z.string().max(8000).default(""),
});

export const PHASES = ["survey", "design", "visit", "handover"] as const;
export type Phase = (typeof PHASES)[number];

export const JOB_FORMAT = "octachord-job";
export const JOB_VERSION = 1;

/** The job document, version 1: the unit of work. Lengths in metres, delays in milliseconds, link rates in Gb/s. */
export const Job = z.strictObject({
  format: z.literal(JOB_FORMAT),
  version: z.literal(JOB_VERSION),
  name: z.string().trim().min(1).max(300),
  customer: z.string().max(300).default(""),
  /** The day of the visit, as YYYY-MM-DD; null: not agreed. */
  visitOn: z.iso.date().nullable().default(null),
  phase: z.enum(PHASES).default("survey"),
  brief: Brief.default({ soundSystem: null, wishes: "" }),
  devices: z.array(Device).max(200).default([]),
  cables: z.array(Cable).max(400).default([]),
  rooms: z
    .array(z.strictObject({ id: Slug, name: z.string().min(1).max(80) }))
    .max(50)
    .default([]),
  notes: z
    .array(z.strictObject({ id: Slug, text: z.string().max(8000) }))
    .max(500)
    .default([]),
});
export type Job = z.infer<typeof Job>;

/** A job with a name and nothing else in it. */
export const emptyJob = (name: string): Job => Job.parse({ format: JOB_FORMAT, version: JOB_VERSION, name });
