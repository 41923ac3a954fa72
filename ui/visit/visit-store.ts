import { createStore, get, update, type UseStore } from "idb-keyval";
import { z } from "zod";
import { VisitEntry } from "@/core/job";
import { mergedEntries } from "@/core/visit";
import { asJson, askServer, outlivingItsPage } from "@/ui/kit";

const Kept = z.object({ entries: z.array(VisitEntry), unsent: z.array(z.uuid()) });
const Answer = z.object({ entries: z.array(VisitEntry), revision: z.number() });

/** The record of a visit as this device knows it, and the entries that the server does not have yet. */
export interface VisitRecord {
  readonly entries: readonly VisitEntry[];
  readonly unsent: readonly string[];
}

/** The record as the server has it, and the revision that the job has there. */
type Answer = z.infer<typeof Answer>;

export const EMPTY_RECORD: VisitRecord = { entries: [], unsent: [] };

let shared: UseStore | undefined;
const store = () => (shared ??= createStore("octachord-visits", "records"));

/** What this device kept of a job's visits; a browser without a store for it keeps nothing beyond the page. */
export async function keptRecord(job: string): Promise<VisitRecord> {
  try {
    const read = Kept.safeParse(await get(job, store()));
    return read.success ? read.data : EMPTY_RECORD;
  } catch {
    return EMPTY_RECORD;
  }
}

/** Keeps a record beside what other windows kept of the same job. */
export const keepRecord = (job: string, record: VisitRecord): Promise<void> =>
  update(job, (kept) => bothKept(Kept.safeParse(kept).data ?? EMPTY_RECORD, record), store()).catch(() => undefined);

/** What was kept with what a window knows now: its own entries that the server has are unsent no more, those of others still are. */
export function bothKept(kept: VisitRecord, own: VisitRecord): VisitRecord {
  const known = new Set(own.entries.map(({ id }) => id));
  return {
    entries: mergedEntries(kept.entries, own.entries),
    unsent: [...kept.unsent.filter((id) => !known.has(id)), ...own.unsent],
  };
}

/** With one entry more that the server does not have yet. */
export const withEntry = ({ entries, unsent }: VisitRecord, entry: VisitEntry): VisitRecord => ({
  entries: mergedEntries(entries, [entry]),
  unsent: [...unsent, entry.id],
});

/** What this device knows, with what the server has: that is unsent no more. */
export function withTheirs(own: VisitRecord, theirs: readonly VisitEntry[]): VisitRecord {
  const there = new Set(theirs.map(({ id }) => id));
  return { entries: mergedEntries(own.entries, theirs), unsent: own.unsent.filter((id) => !there.has(id)) };
}

/** So many entries are sent at once at most; the rest with the next look at the server. */
const MOST_SENT = 500;

/** Sends what is unsent, or asks for what others entered; null where the server is away. */
export async function syncRecord(job: string, record: VisitRecord): Promise<Answer | null> {
  const url = `/api/jobs/${job}/visit`;
  const unsent = record.entries.filter(({ id }) => record.unsent.includes(id)).slice(0, MOST_SENT);
  const answer = await askServer(url, unsent.length ? outlivingItsPage(asJson("POST", { entries: unsent })) : {});
  const read = answer.ok ? Answer.safeParse(answer.value) : null;
  return read?.success ? read.data : null;
}
