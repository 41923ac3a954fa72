import { z } from "zod";
import { Job } from "@/core/job";

/** The JSON Schema of a job file in its long form, made from the one definition in the core. */
export const jobSchemaText = (): string =>
  `${JSON.stringify({ title: "Octachord job file, version 1 (long form)", ...z.toJSONSchema(Job, { io: "input" }) }, null, 2)}\n`;
