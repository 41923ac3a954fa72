import { z } from "zod";
import { BED_IDS, SETTING_KEYS } from "@/core/facts";
import { Content, Device, Slug } from "@/core/device";
import { Brief, Cable, Job } from "./job";

const at = z.number().int().min(0).nullable().default(null);
// Without the document's defaults: a field that an edit does not name must stay as it is.
const jobFields = z.strictObject({
  name: Job.shape.name,
  customer: Job.shape.customer.unwrap(),
  visitOn: Job.shape.visitOn.unwrap(),
  phase: Job.shape.phase.unwrap(),
  brief: Brief,
});
const cableFields = z.strictObject({
  class: Cable.shape.class,
  lengthM: Cable.shape.lengthM,
  direction: Cable.shape.direction.unwrap(),
  returnWires: Cable.shape.returnWires,
  label: Cable.shape.label.unwrap(),
});

/** The edits that stand alone. */
export const SingleCommand = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("edit-job"), fields: jobFields.partial() }),
  z.strictObject({ kind: z.literal("add-device"), device: Device, at }),
  z.strictObject({ kind: z.literal("remove-device"), device: Slug }),
  z.strictObject({ kind: z.literal("rename-device"), device: Slug, name: z.string() }),
  z.strictObject({
    kind: z.literal("set-setting"),
    device: Slug,
    setting: z.enum(SETTING_KEYS),
    state: z.enum(["found", "planned", "left"]),
    value: z.string().nullable(),
  }),
  z.strictObject({ kind: z.literal("set-speakers"), device: Slug, bed: z.enum(BED_IDS), heights: z.number() }),
  z.strictObject({ kind: z.literal("set-contents"), device: Slug, source: Slug, contents: z.array(Content) }),
  z.strictObject({ kind: z.literal("plug"), cable: Cable, at }),
  z.strictObject({ kind: z.literal("unplug"), cable: Slug }),
  z.strictObject({ kind: z.literal("edit-cable"), cable: Slug, fields: cableFields.partial() }),
]);
export type SingleCommand = z.infer<typeof SingleCommand>;

/** An edit of a job as data. A batch is done whole or not at all, and undone as one. */
export const Command = z.discriminatedUnion("kind", [
  ...SingleCommand.options,
  z.strictObject({ kind: z.literal("batch"), commands: z.array(SingleCommand).max(1000) }),
]);
export type Command = z.infer<typeof Command>;
