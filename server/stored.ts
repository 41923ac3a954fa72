import type { z } from "zod";

/** What a stored text holds, or that it is damaged: nothing else goes down with it. */
export type Stored<Value> = { readonly sound: true; readonly value: Value } | { readonly sound: false };

/** A row of a list that no longer reads: where it is, and its text as it lies there. */
export interface DamagedRow {
  readonly id: string;
  readonly text: string;
}

/** Reads a stored text by its schema. */
export function readStored<Schema extends z.ZodType>(schema: Schema, text: string | null): Stored<z.infer<Schema>> {
  let raw: unknown;
  try {
    raw = JSON.parse(text ?? "");
  } catch {
    return { sound: false };
  }
  const read = schema.safeParse(raw);
  return read.success ? { sound: true, value: read.data } : { sound: false };
}
