import { z } from "zod";
import { Slug } from "@/core/device";
import { at } from "./command-place";
import { Placement, RoomReading, Space } from "./space";

// Without the document's defaults: a field that an edit does not name must stay as it is.
const spaceFields = z.strictObject({
  outline: Space.shape.outline.unwrap(),
  ceiling: Space.shape.ceiling.unwrap(),
  temperatureC: Space.shape.temperatureC.unwrap(),
  seats: Space.shape.seats.unwrap(),
  screen: Space.shape.screen.unwrap(),
  obstacles: Space.shape.obstacles.unwrap(),
  outlets: Space.shape.outlets.unwrap(),
  targetDb: Space.shape.targetDb.unwrap(),
  hoursPerDay: Space.shape.hoursPerDay.unwrap(),
});
const { device, unit, channel, seat, of } = RoomReading.shape;

/** Edits of a room as it was measured. */
export const RoomCommand = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("measure-room"), room: Slug, fields: spaceFields.partial() }),
  /** Nothing of the room is measured any more; the undo of the first edit. */
  z.strictObject({ kind: z.literal("forget-space"), room: Slug, space: Space.nullable() }),
  z.strictObject({ kind: z.literal("place-unit"), room: Slug, device: Slug, unit: Slug, to: Placement.nullable(), at }),
  z.strictObject({
    kind: z.literal("note-reading"),
    room: Slug,
    about: z.strictObject({ device, unit, channel: channel.unwrap(), seat, of }),
    reading: RoomReading.nullable(),
    at,
  }),
]);
export type RoomCommand = z.infer<typeof RoomCommand>;
