import type { z } from "zod";
import { migrate, type StoredKind } from "@/core/versions";

/** What a stored text holds, or that it is damaged: nothing else goes down with it. */
export type Stored<Value> = { readonly sound: true; readonly value: Value } | { readonly sound: false };

/** A row of a list that no longer reads: where it is, and its text as it is stored. */
export interface DamagedRow {
  readonly id: string;
  readonly text: string;
}

const parsed = (text: string | null): Stored<unknown> => {
  try {
    return { sound: true, value: JSON.parse(text ?? "") as unknown };
  } catch {
    return { sound: false };
  }
};

/** Reads a stored text by its schema. */
export function readStored<Schema extends z.ZodType>(schema: Schema, text: string | null): Stored<z.infer<Schema>> {
  const raw = parsed(text);
  const read = raw.sound ? schema.safeParse(raw.value) : null;
  return read?.success ? { sound: true, value: read.data } : { sound: false };
}

/** Reads a stored text that a program of some version wrote, by the schema of this one. */
export function readKept<Schema extends z.ZodType>(
  kind: StoredKind,
  schema: Schema,
  { version, text }: { readonly version: number; readonly text: string },
): Stored<z.infer<Schema>> {
  const raw = parsed(text);
  const lifted = raw.sound ? migrate(kind, version, raw.value) : null;
  const read = lifted?.ok ? schema.safeParse(lifted.value) : null;
  return read?.success ? { sound: true, value: read.data } : { sound: false };
}
