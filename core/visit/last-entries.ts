import type { VisitEntry } from "@/core/job";

/** The entry that counts for each step: the latest, and of two of one moment the one of the greater id. */
export function lastEntries(entries: readonly VisitEntry[]): ReadonlyMap<string, VisitEntry> {
  const last = new Map<string, VisitEntry>();
  for (const entry of entries) {
    const before = last.get(entry.step);
    if (!before || entry.at > before.at || (entry.at === before.at && entry.id > before.id)) last.set(entry.step, entry);
  }
  return last;
}

/** Entries of several devices as one record: each once, in the order of their moments. */
export const mergedEntries = (...records: readonly (readonly VisitEntry[])[]): readonly VisitEntry[] =>
  [...new Map(records.flat().map((entry) => [entry.id, entry])).values()].toSorted((a, b) =>
    a.at === b.at ? a.id.localeCompare(b.id) : a.at.localeCompare(b.at),
  );
