import { z } from "zod";

/** Names within a job file: small letters, digits and hyphens. */
export const Slug = z
  .string()
  .regex(/^[a-z0-9][a-z0-9-]{0,63}$/, "small letters, digits and hyphens, at most 64, beginning with a letter or digit");
