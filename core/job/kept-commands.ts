import { z } from "zod";
import { Slug } from "@/core/device";
import { Attachment } from "./attachment";
import { at } from "./command-place";
import { Snapshot } from "./job";

/** Edits of what is kept with a job: places on the map, saved states, photos. */
export const KeptCommand = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("arrange"), device: Slug, to: z.strictObject({ x: z.number(), y: z.number() }).nullable() }),
  z.strictObject({ kind: z.literal("keep-snapshot"), snapshot: Snapshot, at }),
  z.strictObject({ kind: z.literal("drop-snapshot"), snapshot: Slug }),
  z.strictObject({ kind: z.literal("attach"), attachment: Attachment, at }),
  z.strictObject({ kind: z.literal("detach"), attachment: z.uuid() }),
]);
export type KeptCommand = z.infer<typeof KeptCommand>;
