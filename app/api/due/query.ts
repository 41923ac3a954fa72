import { z } from "zod";

const MOST_MONTHS = 36;

/** How far ahead is looked, in months from today. */
export const DueQuery = z.object({ months: z.coerce.number().int().min(0).max(MOST_MONTHS).default(2) });
