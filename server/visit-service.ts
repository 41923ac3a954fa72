import { randomUUID } from "node:crypto";
import { Op, type Transaction } from "sequelize";
import { editToKeep, MOST_ENTRIES, VisitEntry, type Command, type Job, type SingleCommand } from "@/core/job";
import { done, refused, type Outcome } from "@/core/outcome";
import { vanNeeds } from "@/core/stock";
import { foundStateName } from "@/core/text";
import { STORED_VERSION } from "@/core/versions";
import { foundByKind, foundIn, type FirmFaults } from "@/core/diagnose";
import { followUps, lastEntries, learnedMinutes, minutesTable, type LearnedMinutes, type MinutesTable } from "@/core/visit";
import type { Database } from "./database";
import { appendEvent, findJob, updateJob, type StoredJob } from "./job-repository";
import { preferences } from "./preferences-service";
import { fittedCommand, takeFromVan } from "./stock-service";
import { readStored } from "./stored";

export type VisitRefusal = { readonly code: "no-such-job" } | { readonly code: "too-many"; readonly most: number };

/** The record of a job's visits, and the revision of the job that goes with it. */
export interface KeptVisit {
  readonly entries: readonly VisitEntry[];
  readonly revision: number;
}

/** The record of a job's visits, in the order of its moments. An entry that no longer reads is left out; it stays in the table. */
export async function visitRecord(db: Database, jobId: string, transaction?: Transaction): Promise<readonly VisitEntry[]> {
  const rows = await db.models.visitEntries.findAll({
    where: { jobId },
    order: [
      ["at", "ASC"],
      ["id", "ASC"],
    ],
    ...(transaction ? { transaction } : {}),
  });
  return rows.flatMap(({ entry }) => {
    const read = readStored(VisitEntry, entry);
    return read.sound ? [read.value] : [];
  });
}

/** A job as it goes out of the house: its document with the record of its visits. */
export const withRecord = async (db: Database, { id, job }: Pick<StoredJob, "id" | "job">): Promise<Job> => ({
  ...job,
  record: [...(await visitRecord(db, id))],
});

/** Writes entries down, each once. */
export async function insertEntries(
  db: Database,
  jobId: string,
  entries: readonly VisitEntry[],
  transaction: Transaction,
): Promise<readonly VisitEntry[]> {
  const known = await db.models.visitEntries.findAll({
    where: { jobId, id: entries.map(({ id }) => id) },
    attributes: ["id"],
    transaction,
  });
  const there = new Set(known.map(({ id }) => id));
  const fresh = [...new Map(entries.map((entry) => [entry.id, entry])).values()].filter(({ id }) => !there.has(id));
  await db.models.visitEntries.bulkCreate(
    fresh.map((entry) => ({ id: entry.id, jobId, at: entry.at, entry: JSON.stringify(entry), version: STORED_VERSION })),
    { transaction },
  );
  return fresh;
}

/**
 * Adds entries to the record, all or none; one that is there already is not added again, so that sending twice is harmless. What follows for
 * the job is done with it: menus are noted as left, parts leave the van.
 */
export async function keepEntries(db: Database, jobId: string, entries: readonly VisitEntry[]): Promise<Outcome<KeptVisit, VisitRefusal>> {
  return db.transact(async (transaction): Promise<Outcome<KeptVisit, VisitRefusal>> => {
    const current = await findJob(db, jobId, transaction);
    if (!current) return refused({ code: "no-such-job" });
    const there = await db.models.visitEntries.count({ where: { jobId }, transaction });
    if (there + entries.length > MOST_ENTRIES) return refused({ code: "too-many", most: MOST_ENTRIES });
    const fresh = await insertEntries(db, jobId, entries, transaction);
    const record = await visitRecord(db, jobId, transaction);
    const revision = await follow(db, current, { record, fresh }, transaction);
    return done({ entries: record, revision });
  });
}

/** Makes the edits that follow from entries; the revision of the job after them. */
async function follow(
  db: Database,
  { id, job, revision }: StoredJob,
  { record, fresh }: { readonly record: readonly VisitEntry[]; readonly fresh: readonly VisitEntry[] },
  transaction: Transaction,
): Promise<number> {
  const at = new Date().toISOString();
  const { commands, fitted } = followUps(job, record, fresh, { name: foundStateName, takenAt: at });
  const needs = vanNeeds(job).filter(({ part }) =>
    fitted.some((one) => one.supply === "van" && one.kind === part.kind && one.id === part.id),
  );
  // What the van does not count was in it all the same: it is plugged now.
  await takeFromVan(db, id, needs, transaction);
  const edits: SingleCommand[] = [...commands, ...fitted.map(fittedCommand)];
  if (edits.length === 0) return revision;
  const command: Command = { kind: "batch", commands: edits };
  const made = editToKeep(job, [command]);
  // A job that cannot take the edits keeps the entries all the same: what was done is not lost for it.
  if (!made.ok) return revision;
  const next = revision + 1;
  await updateJob(db, { id, ...made.value, revision: next, at }, transaction);
  await appendEvent(
    db,
    { jobId: id, revision: next, saveId: randomUUID(), at, event: { kind: "commands", commands: [command] } },
    transaction,
  );
  return next;
}

/** How the steps of what is proven begin. */
const CHECK_STEPS = ["prove", "act", "speaker"] as const;

/** What was seen of each check of some jobs: the entry that counts, by its step. */
export async function proofRecords(db: Database, jobs: readonly string[]): Promise<ReadonlyMap<string, ReadonlyMap<string, VisitEntry>>> {
  const rows = await db.models.visitEntries.findAll({
    where: { jobId: [...jobs], entry: { [Op.or]: CHECK_STEPS.map((step) => ({ [Op.like]: `%"step":"${step} %` })) } },
    attributes: ["jobId", "entry"],
  });
  const entries = new Map<string, VisitEntry[]>();
  for (const { jobId, entry } of rows) {
    const read = readStored(VisitEntry, entry);
    if (read.sound) entries.set(jobId, [...(entries.get(jobId) ?? []), read.value]);
  }
  return new Map([...entries].map(([job, list]) => [job, lastEntries(list)]));
}

/** What the firm's finished visits teach of the minutes of a step. */
export async function firmMinutes(db: Database): Promise<{ readonly learned: LearnedMinutes; readonly table: MinutesTable }> {
  const rows = await db.models.visitEntries.findAll({
    where: { entry: { [Op.like]: '%"minutes":%' } },
    attributes: ["entry"],
    order: [["at", "DESC"]],
    // The last years of a firm; older habits teach less.
    limit: 20_000,
  });
  const entries = rows.flatMap(({ entry }) => {
    const read = readStored(VisitEntry, entry);
    return read.sound && read.value.minutes !== null ? [read.value] : [];
  });
  const learned = learnedMinutes(entries);
  return { learned, table: minutesTable((await preferences(db)).minutes, learned) };
}

/** What the firm's solved faults teach of how often each kind happens; `earlier` are those of one job. */
export async function firmFaults(db: Database, jobId: string | null): Promise<FirmFaults> {
  const rows = await db.models.visitEntries.findAll({
    where: { entry: { [Op.like]: '%"fix":{%' } },
    attributes: ["jobId", "entry"],
    order: [["at", "DESC"]],
    limit: 20_000,
  });
  const entries = rows.flatMap(({ jobId: job, entry }) => {
    const read = readStored(VisitEntry, entry);
    return read.sound ? [{ job, entry: read.value }] : [];
  });
  return {
    weights: (await preferences(db)).faults,
    solved: foundByKind(foundIn(entries.map(({ entry }) => entry))),
    earlier: foundIn(entries.flatMap(({ job, entry }) => (job === jobId ? [entry] : []))),
  };
}
