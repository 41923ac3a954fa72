import { z } from "zod";
import { MOST_DAYS } from "@/server";

const isDay = (day: string): boolean => !Number.isNaN(Date.parse(`${day}T00:00:00Z`));

/** Which days are asked for: from a day on, so many. */
export const DaysQuery = z.object({
  from: z
    .string()
    .regex(/^\d{4}-\d\d-\d\d$/)
    .refine(isDay, { error: "a day as YYYY-MM-DD" }),
  days: z.coerce.number().int().min(1).max(MOST_DAYS).default(1),
});
