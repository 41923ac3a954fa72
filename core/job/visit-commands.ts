import { z } from "zod";
import { Slug } from "@/core/device";
import { at } from "./command-place";
import { AddedStep, VisitPlan } from "./visit-plan";

// Without the document's defaults: a field that an edit does not name must stay as it is.
const visitFields = z.strictObject({
  at: VisitPlan.shape.at.unwrap(),
  agreedMinutes: VisitPlan.shape.agreedMinutes.unwrap(),
  people: VisitPlan.shape.people.unwrap(),
  address: VisitPlan.shape.address.unwrap(),
  powerOrder: VisitPlan.shape.powerOrder.unwrap(),
});

/** Edits of what is agreed about a visit, and steps added to it by hand. */
export const VisitCommand = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("edit-visit"), fields: visitFields.partial() }),
  z.strictObject({ kind: z.literal("add-step"), step: AddedStep, at }),
  z.strictObject({ kind: z.literal("remove-step"), step: Slug }),
]);
export type VisitCommand = z.infer<typeof VisitCommand>;
