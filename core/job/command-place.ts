import { z } from "zod";

/** A place in a list; null: at the end. */
export const at = z.number().int().min(0).nullable().default(null);
