import { z } from "zod";

const Told = z.object({ detail: z.string() });

/** The sentence in an answer of the server that says what is wrong; null where it has none. */
export function sentenceOf(body: unknown): string | null {
  const told = Told.safeParse(body);
  return told.success ? told.data.detail : null;
}
