import { z } from "zod";

/** What the server answers where a job was made. */
export const Made = z.object({ id: z.string() });

/** What it answers where one was imported. */
export const Imported = z.object({ id: z.string(), name: z.string(), photosLeftOut: z.array(z.string()) });
export type Imported = z.infer<typeof Imported>;
