import { Op, QueryTypes, type Transaction, type WhereOptions } from "sequelize";
import { BIN_DAYS } from "@/core/report";
import { done, refused, type Outcome } from "@/core/outcome";
import { forgetFiles } from "./attachment-store";
import type { Database } from "./database";
import { DAY_MS } from "./day";
import type { JobRow } from "./models/models";

/** What went with a job that was erased. */
export interface ErasedJob {
  readonly id: string;
  readonly name: string;
  readonly customer: string;
  /** Entries of its log. */
  readonly saves: number;
  readonly photos: number;
}

/** A customer with what is kept of them. */
export interface CustomerKept {
  readonly customer: string;
  readonly jobs: number;
  readonly inBin: number;
  readonly photos: number;
}

export type EraseRefusal = { readonly code: "no-such-job" } | { readonly code: "not-in-the-bin" };

/** Erases a job that is in the bin, with its document, its log, its words and its photos. */
export async function eraseJob(db: Database, id: string): Promise<Outcome<ErasedJob, EraseRefusal>> {
  const row = await db.models.jobs.findByPk(id, { attributes: ["id", "binnedAt"] });
  if (!row) return refused({ code: "no-such-job" });
  if (row.binnedAt === null) return refused({ code: "not-in-the-bin" });
  const [erased] = await eraseAll(db, { id, binnedAt: { [Op.not]: null } });
  return erased ? done(erased) : refused({ code: "no-such-job" });
}

/** Erases every job of a customer, in the docket and in the bin; gives what went. */
export const eraseCustomer = (db: Database, customer: string): Promise<readonly ErasedJob[]> => eraseAll(db, { customer });

/** Erases what has lain in the bin for its days; gives what went. */
export const emptyBin = (db: Database, now = new Date()): Promise<readonly ErasedJob[]> =>
  eraseAll(db, { binnedAt: { [Op.lt]: new Date(now.getTime() - BIN_DAYS * DAY_MS).toISOString() } });

/** Every customer that a job names, by name. */
export const customersKept = (db: Database): Promise<readonly CustomerKept[]> =>
  db.sequelize.query<CustomerKept>(
    `SELECT customer, count(*) AS jobs, sum(binned_at IS NOT NULL) AS inBin,
       sum((SELECT count(*) FROM attachments WHERE job_id = jobs.id)) AS photos
     FROM jobs WHERE customer <> '' GROUP BY customer ORDER BY customer`,
    { type: QueryTypes.SELECT },
  );

async function eraseAll(db: Database, where: WhereOptions<JobRow>): Promise<readonly ErasedJob[]> {
  const gone = await db.transact(async (transaction) => {
    const rows = await db.models.jobs.findAll({ where, attributes: ["id", "name", "customer"], transaction });
    const erased: { readonly job: ErasedJob; readonly files: readonly string[] }[] = [];
    for (const { id, name, customer } of rows) erased.push(await eraseOne(db, { id, name, customer }, transaction));
    return erased;
  });
  await forgetFiles(
    db,
    gone.flatMap(({ files }) => files),
  );
  if (gone.length === 0) return [];
  // Pages that an older program gave free without overwriting them go too; while somebody reads, or without room for a copy, they wait for the next time.
  await db.sequelize.query("VACUUM").catch(() => undefined);
  // The log of the database holds pages as they were until it is moved into the file.
  await db.sequelize.query("PRAGMA wal_checkpoint(TRUNCATE)");
  return gone.map(({ job }) => job);
}

async function eraseOne(
  { models }: Database,
  { id, name, customer }: Pick<ErasedJob, "id" | "name" | "customer">,
  transaction: Transaction,
): Promise<{ readonly job: ErasedJob; readonly files: readonly string[] }> {
  const of = { where: { jobId: id }, transaction };
  const files = (await models.attachments.findAll({ ...of, attributes: ["id"] })).map((photo) => photo.id);
  await models.jobs.update({ isErased: true }, { where: { id }, transaction });
  const saves = await models.jobEvents.destroy(of);
  await models.visitEntries.destroy(of);
  await models.attachments.destroy(of);
  await models.jobWords.destroy(of);
  await models.jobDocuments.destroy(of);
  await models.jobs.destroy({ where: { id }, transaction });
  return { job: { id, name, customer, saves, photos: files.length }, files };
}
