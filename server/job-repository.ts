import { Op, type Transaction, type WhereOptions } from "sequelize";
import { readJobText, type Job, type Phase } from "@/core/job";
import type { Database } from "./database";
import type { JobRow } from "./models/models";

/** A job with what the keeping of it adds. */
export interface StoredJob {
  readonly id: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly job: Job;
}

export interface JobQuery {
  readonly q: string;
  readonly phase: Phase | null;
  readonly page: number;
}

export const PAGE_SIZE = 50;

/** A stored document that no longer reads: our own mistake or a damaged file, never a customer's. */
export class DamagedDocument extends Error {
  override readonly name = "DamagedDocument";
}

function stored(row: JobRow): StoredJob {
  const read = readJobText(row.document);
  if (!read.ok) throw new DamagedDocument(`The stored document of job ${row.id} does not read: ${JSON.stringify(read.refusal[0])}`);
  return { id: row.id, revision: row.revision, updatedAt: row.updatedAt, job: read.value };
}

/** What the docket's search looks through: every word a person typed that tells one job from another. */
const searchText = (job: Job): string =>
  [
    job.name,
    job.customer,
    job.brief.wishes,
    ...job.devices.flatMap(({ name, maker, note }) => [name, maker, note]),
    ...job.notes.map(({ text }) => text),
  ]
    .join("\n")
    .toLocaleLowerCase("en");

const columnsOf = (job: Job) => ({
  name: job.name,
  customer: job.customer,
  visitOn: job.visitOn,
  phase: job.phase,
  searchText: searchText(job),
  document: JSON.stringify(job),
});

export async function findJob(db: Database, id: string, transaction?: Transaction): Promise<StoredJob | null> {
  const row = await db.models.jobs.findOne({ where: { id, binnedAt: null }, ...(transaction ? { transaction } : {}) });
  return row ? stored(row) : null;
}

/** Jobs by visit day, those without one last. */
export async function findJobs(db: Database, query: JobQuery): Promise<{ jobs: readonly StoredJob[]; total: number }> {
  const words = query.q.toLocaleLowerCase("en").split(/\s+/).filter(Boolean);
  const where: WhereOptions = {
    binnedAt: null,
    ...(query.phase ? { phase: query.phase } : {}),
    [Op.and]: words.map((word) =>
      db.sequelize.literal(`search_text LIKE ${db.sequelize.escape(`%${word.replace(/[\\%_]/g, "\\$&")}%`)} ESCAPE '\\'`),
    ),
  };
  const { rows, count } = await db.models.jobs.findAndCountAll({
    where,
    order: [
      [db.sequelize.literal("visit_on IS NULL"), "ASC"],
      ["visitOn", "ASC"],
      ["name", "ASC"],
      ["id", "ASC"],
    ],
    limit: PAGE_SIZE,
    offset: (query.page - 1) * PAGE_SIZE,
  });
  return { jobs: rows.map(stored), total: count };
}

export async function insertJob(db: Database, entry: { id: string; job: Job; at: string }, transaction: Transaction): Promise<void> {
  await db.models.jobs.create(
    { id: entry.id, ...columnsOf(entry.job), revision: 1, createdAt: entry.at, updatedAt: entry.at, binnedAt: null },
    { transaction },
  );
}

export async function updateJob(
  db: Database,
  entry: { id: string; job: Job; revision: number; at: string },
  transaction: Transaction,
): Promise<void> {
  await db.models.jobs.update(
    { ...columnsOf(entry.job), revision: entry.revision, updatedAt: entry.at },
    { where: { id: entry.id }, transaction },
  );
}

export async function appendEvent(
  db: Database,
  entry: { jobId: string; revision: number; saveId: string; at: string; event: unknown },
  transaction: Transaction,
): Promise<void> {
  await db.models.jobEvents.create({ ...entry, event: JSON.stringify(entry.event) }, { transaction });
}

/** The revision that a save made, if it was already taken in. */
export async function revisionOfSave(db: Database, jobId: string, saveId: string, transaction: Transaction): Promise<number | null> {
  const row = await db.models.jobEvents.findOne({ where: { jobId, saveId }, transaction });
  return row?.revision ?? null;
}

/** Puts a job into the bin or takes it out; false when there is no such job in that place. */
export async function setBinned(db: Database, id: string, at: string | null, transaction: Transaction): Promise<boolean> {
  const where: WhereOptions = { id, binnedAt: at === null ? { [Op.not]: null } : null };
  const [changed] = await db.models.jobs.update({ binnedAt: at }, { where, transaction });
  return changed > 0;
}
