import { readFile } from "node:fs/promises";
import type { z } from "zod";
import { UnusableInput } from "./unusable-input";

/**
 * A list from a JSON file that was given to an option. Throws `UnusableInput` with the place of the first thing that does not fit.
 * @param expected what belongs there, for the sentence
 */
export async function readListFile<Item>(file: string, schema: z.ZodType<Item[]>, expected: string): Promise<readonly Item[]> {
  const text = await readFile(file, "utf8").catch(() => {
    throw new UnusableInput(`${file}: there is no such file.`);
  });
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    throw new UnusableInput(`${file}: the file is not JSON.`);
  }
  const read = schema.safeParse(raw);
  if (read.success) return read.data;
  const [issue] = read.error.issues;
  throw new UnusableInput(`${file}: ${issue?.path.join(".") || "the document"}: expected ${expected}.`);
}
