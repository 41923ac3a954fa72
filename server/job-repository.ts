import { Op, QueryTypes, type OrderItem, type Transaction, type WhereOptions } from "sequelize";
import { readJobText, typedWords, type Job, type Phase } from "@/core/job";
import { DOCKET_VERSION, docketSummary } from "@/core/report";
import { folded } from "@/core/search";
import { vanNeeds } from "@/core/stock";
import { STORED_VERSION } from "@/core/versions";
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
  /** Jobs in the bin in place of those in the docket. */
  readonly bin?: boolean;
}

export const PAGE_SIZE = 50;

/** A stored document that no longer reads: our own mistake or a damaged file, never a customer's. */
export class DamagedDocument extends Error {
  override readonly name = "DamagedDocument";
}

function stored(row: JobRow, text: string): StoredJob {
  const read = readJobText(text);
  if (!read.ok) throw new DamagedDocument(`The stored document of job ${row.id} does not read: ${JSON.stringify(read.refusal[0])}`);
  return { id: row.id, revision: row.revision, updatedAt: row.updatedAt, job: read.value };
}

/** A job with its text, which was read as a file is before it is kept. */
interface Kept {
  readonly job: Job;
  readonly text: string;
}

const columnsOf = (job: Job) => ({
  name: job.name,
  customer: job.customer,
  visitOn: job.visitOn,
  phase: job.phase,
  ...summaryColumns(job),
});

/** What is kept of a job beside its line in the docket: its document, and its words for the search. */
async function keepBeside(db: Database, { id, job, text }: Kept & { readonly id: string }, transaction: Transaction): Promise<void> {
  await db.models.jobDocuments.upsert({ jobId: id, document: text }, { transaction });
  // Not an upsert: the row keeps its number, by which the index knows it.
  const words = folded(typedWords(job));
  const [found] = await db.models.jobWords.update({ words }, { where: { jobId: id }, transaction });
  if (found === 0) await db.models.jobWords.create({ jobId: id, words }, { transaction });
}

/** What the docket keeps of a job beside its particulars. */
export const summaryColumns = (job: Job) => ({
  summary: JSON.stringify(docketSummary(job)),
  summaryVersion: DOCKET_VERSION,
  needs: JSON.stringify(vanNeeds(job)),
});

export async function findJob(db: Database, id: string, transaction?: Transaction): Promise<StoredJob | null> {
  const within = transaction ? { transaction } : {};
  const row = await db.models.jobs.findOne({ where: { id, binnedAt: null }, ...within });
  return row ? stored(row, (await documentText(db, id, within)) ?? "") : null;
}

/** By visit day, those without one last, then by name. */
const inOrder = ({ sequelize }: Database): OrderItem[] => [
  [sequelize.literal("visit_on IS NULL"), "ASC"],
  ["visitOn", "ASC"],
  ["name", "ASC"],
  ["id", "ASC"],
];

/** Rows of the docket by visit day, those without one last; documents are not read. */
export async function findDocketRows(db: Database, query: JobQuery): Promise<{ rows: readonly JobRow[]; total: number }> {
  const match = matchOf(query.q);
  const where: WhereOptions = {
    binnedAt: query.bin ? { [Op.not]: null } : null,
    ...(query.phase ? { phase: query.phase } : {}),
    ...(match === null
      ? {}
      : {
          id: {
            [Op.in]: db.sequelize.literal(
              `(SELECT job_id FROM job_words WHERE "row" IN (SELECT rowid FROM job_search WHERE job_search MATCH ${db.sequelize.escape(match)}))`,
            ),
          },
        }),
  };
  const { rows, count } = await db.models.jobs.findAndCountAll({
    where,
    order: inOrder(db),
    limit: PAGE_SIZE,
    offset: (query.page - 1) * PAGE_SIZE,
  });
  return { rows, total: count };
}

/**
 * A question to the full-text index: every typed word, each as the beginning of one. Null: nothing was typed that could be found.
 * Source: sqlite.org/fts5.html#full_text_query_syntax (a quoted string, with * for the beginnings of its last word).
 */
function matchOf(typed: string): string | null {
  const words = folded(typed)
    .split(/\s+/)
    .filter((word) => /[\p{L}\p{N}]/u.test(word));
  return words.length === 0 ? null : words.map((word) => `"${word.replaceAll('"', '""')}"*`).join(" ");
}

/** The id and name of every job of the docket that can still be read one by one, where a page of the file is damaged. */
export async function rowsOneByOne(db: Database, query: JobQuery): Promise<readonly JobRow[]> {
  const ids = await db.sequelize.query<{ id: string }>("SELECT id FROM jobs ORDER BY id", { type: QueryTypes.SELECT });
  const rows: JobRow[] = [];
  for (const { id } of ids) {
    const row = await db.models.jobs.findOne({ where: { id } }).catch(() => null);
    if (row && (row.binnedAt !== null) === (query.bin ?? false)) rows.push(row);
  }
  return rows;
}

/** Every job of the docket, in its order. */
export async function idsOfDocket(db: Database): Promise<readonly string[]> {
  const rows = await db.models.jobs.findAll({
    where: { binnedAt: null },
    attributes: ["id"],
    order: inOrder(db),
  });
  return rows.map(({ id }) => id);
}

/** The text of a stored document, whether it reads or not. */
export async function documentText(db: Database, id: string, within: { readonly transaction?: Transaction } = {}): Promise<string | null> {
  const row = await db.models.jobDocuments.findByPk(id, within);
  return row?.document ?? null;
}

/** The job of a stored document; null where there is none or it does not read. */
export async function jobThatReads(db: Database, id: string): Promise<Job | null> {
  const read = readJobText((await documentText(db, id)) ?? "");
  return read.ok ? read.value : null;
}

export async function insertJob(db: Database, entry: Kept & { id: string; at: string }, transaction: Transaction): Promise<void> {
  await db.models.jobs.create(
    { id: entry.id, ...columnsOf(entry.job), revision: 1, createdAt: entry.at, updatedAt: entry.at, binnedAt: null },
    { transaction },
  );
  await keepBeside(db, entry, transaction);
}

export async function updateJob(
  db: Database,
  entry: Kept & { id: string; revision: number; at: string },
  transaction: Transaction,
): Promise<void> {
  await db.models.jobs.update(
    { ...columnsOf(entry.job), revision: entry.revision, updatedAt: entry.at },
    { where: { id: entry.id }, transaction },
  );
  await keepBeside(db, entry, transaction);
}

export async function appendEvent(
  db: Database,
  entry: { jobId: string; revision: number; saveId: string; at: string; event: unknown },
  transaction: Transaction,
): Promise<void> {
  await db.models.jobEvents.create({ ...entry, event: JSON.stringify(entry.event), version: STORED_VERSION }, { transaction });
}

/** The job and revision that a save made, if it was already accepted. */
export async function findSave(
  db: Database,
  saveId: string,
  transaction: Transaction,
): Promise<{ readonly jobId: string; readonly revision: number } | null> {
  const row = await db.models.jobEvents.findOne({ where: { saveId }, transaction });
  return row && { jobId: row.jobId, revision: row.revision };
}

/** Puts a job into the bin or takes it out; false when there is no such job in that place. */
export async function setBinned(db: Database, id: string, at: string | null, transaction: Transaction): Promise<boolean> {
  const where: WhereOptions = { id, binnedAt: at === null ? { [Op.not]: null } : null };
  const [changed] = await db.models.jobs.update({ binnedAt: at }, { where, transaction });
  return changed > 0;
}
