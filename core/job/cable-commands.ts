import { z } from "zod";
import { Slug } from "@/core/device";
import { at } from "./command-place";
import { Cable } from "./job";

const cableFields = z.strictObject({
  class: Cable.shape.class,
  lengthM: Cable.shape.lengthM,
  direction: Cable.shape.direction.unwrap(),
  backwards: Cable.shape.backwards.unwrap(),
  returnWires: Cable.shape.returnWires,
  controlWire: Cable.shape.controlWire.unwrap(),
  state: Cable.shape.state.unwrap(),
  label: Cable.shape.label.unwrap(),
  tags: Cable.shape.tags.unwrap(),
  supply: Cable.shape.supply.unwrap(),
});

/** Edits of the cables of a job. */
export const CableCommand = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("plug"), cable: Cable, at }),
  z.strictObject({ kind: z.literal("unplug"), cable: Slug }),
  z.strictObject({ kind: z.literal("edit-cable"), cable: Slug, fields: cableFields.partial() }),
]);
export type CableCommand = z.infer<typeof CableCommand>;
