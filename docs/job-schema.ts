import { z } from "zod";
import { Content, Decoder, Device, Port, Source } from "@/core/device";
import { Cable, Job, Want, Weights } from "@/core/job";

/** The parts of a job file that the schema names; every other part that occurs more than once gets a number. */
const NAMED = { Device, Content, Port, Source, Decoder, Cable, Want, Weights } as const;

/** The JSON Schema of a job file in its long form, made from the one definition in the core; what occurs more than once is shared. */
export function jobSchemaText(): string {
  const metadata = z.registry<{ id: string }>();
  for (const [id, schema] of Object.entries(NAMED)) metadata.add(schema, { id });
  const schema = z.toJSONSchema(Job, { io: "input", reused: "ref", metadata });
  return `${JSON.stringify({ title: "Octachord job file, version 1 (long form)", ...schema }, null, 2)}\n`;
}
