import { MOST_ENTRIES, VisitEntry } from "@/core/visit";
import { done, refused, type Outcome } from "@/core/outcome";
import { STORED_VERSION } from "@/core/versions";
import type { Database } from "./database";
import { readStored } from "./stored";

export type VisitRefusal =
  | { readonly code: "no-such-job" }
  /** The id of an entry is used in another job. */
  | { readonly code: "entry-elsewhere" }
  | { readonly code: "too-many"; readonly most: number };

/** The record of a job's visits, in the order of its moments. An entry that no longer reads is left out; it stays in the table. */
export async function visitRecord(db: Database, jobId: string): Promise<readonly VisitEntry[]> {
  const rows = await db.models.visitEntries.findAll({
    where: { jobId },
    order: [
      ["at", "ASC"],
      ["id", "ASC"],
    ],
  });
  return rows.flatMap(({ entry }) => {
    const read = readStored(VisitEntry, entry);
    return read.sound ? [read.value] : [];
  });
}

/** Adds entries to the record, all or none; one that is there already is not added again, so that sending twice is harmless. */
export async function keepEntries(
  db: Database,
  jobId: string,
  entries: readonly VisitEntry[],
): Promise<Outcome<readonly VisitEntry[], VisitRefusal>> {
  const kept = await db.transact(async (transaction): Promise<Outcome<null, VisitRefusal>> => {
    const job = await db.models.jobs.findOne({ where: { id: jobId, binnedAt: null }, attributes: ["id"], transaction });
    if (!job) return refused({ code: "no-such-job" });
    const known = await db.models.visitEntries.findAll({
      where: { id: entries.map(({ id }) => id) },
      attributes: ["id", "jobId"],
      transaction,
    });
    if (known.some((row) => row.jobId !== jobId)) return refused({ code: "entry-elsewhere" });
    const there = await db.models.visitEntries.count({ where: { jobId }, transaction });
    const fresh = [...new Map(entries.map((entry) => [entry.id, entry])).values()].filter(({ id }) => !known.some((row) => row.id === id));
    if (there + fresh.length > MOST_ENTRIES) return refused({ code: "too-many", most: MOST_ENTRIES });
    await db.models.visitEntries.bulkCreate(
      fresh.map((entry) => ({ id: entry.id, jobId, at: entry.at, entry: JSON.stringify(entry), version: STORED_VERSION })),
      { transaction },
    );
    return done(null);
  });
  return kept.ok ? done(await visitRecord(db, jobId)) : kept;
}
