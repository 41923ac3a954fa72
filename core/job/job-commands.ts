import { z } from "zod";
import { Brief } from "./brief";
import { Job } from "./job";

// Without the document's defaults: a field that an edit does not name must stay as it is.
const jobFields = z.strictObject({
  name: Job.shape.name,
  customer: Job.shape.customer.unwrap(),
  visitOn: Job.shape.visitOn.unwrap(),
  phase: Job.shape.phase.unwrap(),
  brief: Brief,
});
const briefFields = z.strictObject({
  soundSystem: Brief.shape.soundSystem.unwrap(),
  wishes: Brief.shape.wishes.unwrap(),
  household: Brief.shape.household.unwrap(),
  remotes: Brief.shape.remotes.unwrap(),
  newsFrom: Brief.shape.newsFrom.unwrap(),
  screensAtOnce: Brief.shape.screensAtOnce.unwrap(),
  surround: Brief.shape.surround.unwrap(),
  clearSpeech: Brief.shape.clearSpeech.unwrap(),
  budget: Brief.shape.budget.unwrap(),
  mayBuy: Brief.shape.mayBuy.unwrap(),
  mustStay: Brief.shape.mustStay.unwrap(),
  runs: Brief.shape.runs.unwrap(),
  weighing: Brief.shape.weighing.unwrap(),
  bonds: Brief.shape.bonds.unwrap(),
  musts: Brief.shape.musts.unwrap(),
  hopes: Brief.shape.hopes.unwrap(),
});

/** Edits of what the job says about itself, its brief and its rooms. */
export const JobCommand = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("edit-job"), fields: jobFields.partial() }),
  z.strictObject({ kind: z.literal("edit-brief"), fields: briefFields.partial() }),
  z.strictObject({ kind: z.literal("set-rooms"), rooms: Job.shape.rooms.unwrap() }),
]);
export type JobCommand = z.infer<typeof JobCommand>;
