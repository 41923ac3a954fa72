import { z } from "zod";
import { CABLE_CLASS_IDS } from "@/core/facts";
import { CABLE_STATES, Device, Slug, SUPPLIES } from "@/core/device";
import { PHASES } from "./phase";
import { STORED_VERSION } from "@/core/versions";
import { Attachment } from "./attachment";
import { Brief } from "./brief";
import { HandoverPlan } from "./handover-plan";
import { Space } from "./space";
import { MOST_ENTRIES, VisitEntry } from "./visit-entry";
import { VisitPlan } from "./visit-plan";

/** One end of a cable: a socket of a device. */
export const CableEnd = z.strictObject({ device: Slug, port: Slug });
export type CableEnd = z.infer<typeof CableEnd>;

/** A cable as it is installed: picture runs `from` an output `to` an input. */
export const Cable = z.strictObject({
  id: Slug,
  from: CableEnd,
  to: CableEnd,
  class: z.enum(CABLE_CLASS_IDS),
  lengthM: z.number().positive().max(1000),
  /** one-way: an active or optical cable that works in one direction only. */
  direction: z.enum(["either", "one-way"]).default("either"),
  /** A one-way cable that is installed the wrong way round. */
  backwards: z.boolean().default(false),
  /** It was found with both plugs in outputs, or both in inputs: a fact to record and to cure; nothing goes through it. */
  miswired: z.boolean().default(false),
  /** The return conductors that are really there; null where nobody knows. */
  returnWires: z.enum(["none", "arc", "earc"]).nullable(),
  /** The wire of HDMI control (pin 13) runs through; false for a lead or adapter made without it. */
  controlWire: z.boolean().default(true),
  /** How it is at the moment; all but a sound one carry nothing. */
  state: z.enum(CABLE_STATES).default("sound"),
  label: z.string().max(80).default(""),
  /** What is written at each end in place of the words made from the plan; empty: those words. */
  tags: z.strictObject({ from: z.string().max(80), to: z.string().max(80) }).default({ from: "", to: "" }),
  supply: z.enum(SUPPLIES).default("there"),
});
export type Cable = z.infer<typeof Cable>;

export const JOB_FORMAT = "octachord-job";
export const JOB_VERSION = STORED_VERSION;

/** A room, or a place of one where devices stand together: a rack, the wall of the screen. */
export const Room = z.strictObject({
  id: Slug,
  name: z.string().trim().min(1).max(80),
  seats: z.number().int().min(0).max(99).default(0),
  /** What was measured of it; null: nothing yet. */
  space: Space.nullable().default(null),
});
export type Room = z.infer<typeof Room>;

/** The gear and cables of a job as they were at a moment. */
export const Snapshot = z.strictObject({
  id: Slug,
  name: z.string().trim().min(1).max(80),
  takenAt: z.iso.datetime(),
  devices: z.array(Device).max(200),
  cables: z.array(Cable).max(400),
});
export type Snapshot = z.infer<typeof Snapshot>;

export const MOST_SNAPSHOTS = 8;
const MOST_ATTACHMENTS = 100;

/** The job document: the unit of work. Lengths in metres, delays in milliseconds, link rates in Gb/s. */
export const Job = z.strictObject({
  format: z.literal(JOB_FORMAT),
  version: z.literal(JOB_VERSION),
  name: z.string().trim().min(1).max(300),
  customer: z.string().max(300).default(""),
  /** The day of the visit, as YYYY-MM-DD; null: not agreed. */
  visitOn: z.iso.date().nullable().default(null),
  phase: z.enum(PHASES).default("survey"),
  brief: Brief.prefault({}),
  devices: z.array(Device).max(200).default([]),
  cables: z.array(Cable).max(400).default([]),
  rooms: z.array(Room).max(50).default([]),
  notes: z
    .array(z.strictObject({ id: Slug, text: z.string().max(8000) }))
    .max(500)
    .default([]),
  /** Where plates stand on the map that were dragged there; the others have the computed place. */
  arrangement: z
    .array(z.strictObject({ device: Slug, x: z.number().min(-1e5).max(1e5), y: z.number().min(-1e5).max(1e5) }))
    .max(200)
    .default([]),
  /** Earlier states of the room, kept to compare with. */
  snapshots: z.array(Snapshot).max(MOST_SNAPSHOTS).default([]),
  attachments: z.array(Attachment).max(MOST_ATTACHMENTS).default([]),
  visit: VisitPlan.prefault({}),
  handover: HandoverPlan.prefault({}),
  /** The record of the visits, as it travels in a file. Where jobs are kept it stands apart, append-only, and is empty here. */
  record: z.array(VisitEntry).max(MOST_ENTRIES).default([]),
});
export type Job = z.infer<typeof Job>;

/** A job with a name and nothing else in it. */
export const emptyJob = (name: string): Job => Job.parse({ format: JOB_FORMAT, version: JOB_VERSION, name });
