import { createStore, del, get, set, type UseStore } from "idb-keyval";
import { z } from "zod";
import { Command } from "@/core/job";
import { STORED_VERSION } from "@/core/versions";

/** Edits that the server does not have yet. */
const Draft = z.object({
  commands: z.array(Command).max(2000),
  /** The save under way, of so many of them: the server may have it already, and knows it by its name. */
  attempt: z.object({ saveId: z.uuid(), count: z.number().int().min(1) }).nullable(),
});
export type Draft = z.infer<typeof Draft>;

/** The same as the browser keeps them, with the version of the program that did. */
const KeptDraft = z.object({ version: z.number().default(1), commands: z.array(z.unknown()), attempt: z.unknown() });

/** A draft as this program understands it; null where it does not. */
async function readDraft(kept: unknown): Promise<Draft | null> {
  const outline = KeptDraft.safeParse(kept);
  if (!outline.success) return null;
  const { version, commands, attempt } = outline.data;
  const isOlder = version !== STORED_VERSION;
  const lifted = isOlder ? (await import("./older-commands")).readCommands(version, commands) : commands;
  const read = Draft.safeParse({ commands: lifted, attempt });
  return read.success ? read.data : null;
}

/** Where drafts are kept; a browser without a store for them keeps none, and the page still works. */
export interface Drafts {
  readonly keep: (draft: Draft) => Promise<void>;
  readonly read: () => Promise<Draft | null>;
  readonly forget: () => Promise<void>;
}

let shared: UseStore | undefined;
const store = () => (shared ??= createStore("octachord-drafts", "edits"));

async function quietly<Value>(work: () => Promise<Value>, otherwise: Value): Promise<Value> {
  try {
    return await work();
  } catch {
    return otherwise;
  }
}

/** The drafts of one job in the browser's own database. What no longer reads, of an older program, is given up. */
export const draftsOf = (job: string): Drafts => ({
  keep: (draft) => quietly(() => set(job, { ...draft, version: STORED_VERSION }, store()), undefined),
  read: () => quietly(async () => await readDraft(await get(job, store())), null),
  forget: () => quietly(() => del(job, store()), undefined),
});
