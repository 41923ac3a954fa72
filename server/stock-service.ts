import { randomUUID } from "node:crypto";
import { Op, QueryTypes, type Transaction } from "sequelize";
import { z } from "zod";
import { editToKeep, type Command, type SingleCommand } from "@/core/job";
import { done, refused, type Outcome } from "@/core/outcome";
import { changedStock, reserve, type StockChange, StockFields, VanNeed, vanNeeds, type Reservation, type StockItem } from "@/core/stock";
import { STORED_VERSION } from "@/core/versions";
import type { Database } from "./database";
import { appendEvent, findJob, jobThatReads, updateJob } from "./job-repository";
import type { JobRow } from "./models/models";
import { readKept, readStored, type DamagedRow } from "./stored";

/** The van's list in the order it was written; lines that no longer read stand apart. */
export async function stockLines(
  db: Database,
  transaction?: Transaction,
): Promise<{ readonly items: readonly StockItem[]; readonly damaged: readonly DamagedRow[] }> {
  const rows = await db.models.stockItems.findAll({ order: [["createdAt", "ASC"]], ...(transaction ? { transaction } : {}) });
  const items: StockItem[] = [];
  const damaged: DamagedRow[] = [];
  for (const { id, fields, version } of rows) {
    const read = readKept("stock", StockFields, { version, text: fields });
    if (read.sound) items.push({ id, ...read.value });
    else damaged.push({ id, text: fields });
  }
  return { items, damaged };
}

/** The lines of the van's list that read. */
export const stockItems = async (db: Database, transaction?: Transaction): Promise<readonly StockItem[]> =>
  (await stockLines(db, transaction)).items;

const kept = (fields: StockFields) => ({ fields: JSON.stringify(fields), version: STORED_VERSION });

export async function addStock(db: Database, fields: StockFields): Promise<StockItem> {
  const id = randomUUID();
  await db.transact((transaction) =>
    db.models.stockItems.create({ id, ...kept(fields), createdAt: new Date().toISOString() }, { transaction }),
  );
  return { id, ...fields };
}

/** False where there is no such line. */
export async function changeStock(db: Database, id: string, fields: StockFields): Promise<boolean> {
  const [changed] = await db.transact((transaction) => db.models.stockItems.update(kept(fields), { where: { id }, transaction }));
  return changed > 0;
}

/** Changes a line as it is now, whoever changed it since it was looked at. False where there is no such line, or it does not read. */
export async function adjustStock(db: Database, id: string, change: StockChange): Promise<boolean> {
  return db.transact(async (transaction) => {
    const row = await db.models.stockItems.findOne({ where: { id }, transaction });
    const read = row && readKept("stock", StockFields, { version: row.version, text: row.fields });
    if (!read?.sound) return false;
    await db.models.stockItems.update(kept(changedStock(read.value, change)), { where: { id }, transaction });
    return true;
  });
}

export async function dropStock(db: Database, id: string): Promise<boolean> {
  return (await db.transact((transaction) => db.models.stockItems.destroy({ where: { id }, transaction }))) > 0;
}

/** A job that wants parts from the van, and what was set aside for it. */
export interface JobParts extends Reservation {
  readonly id: string;
  readonly name: string;
  readonly visitOn: string | null;
}

/** What the van holds for whom: jobs that are not handed over yet, the next visit first. */
export async function jobParts(db: Database, transaction?: Transaction): Promise<readonly JobParts[]> {
  const rows = await db.models.jobs.findAll({
    where: { binnedAt: null, phase: { [Op.not]: "handover" }, needs: { [Op.notIn]: ["[]"] } },
    attributes: ["id", "name", "visitOn", "needs"],
    order: [
      [db.sequelize.literal("visit_on IS NULL"), "ASC"],
      ["visitOn", "ASC"],
      ["id", "ASC"],
    ],
    ...(transaction ? { transaction } : {}),
  });
  const needs = await Promise.all(rows.map((row) => needsOf(db, row)));
  const reservations = reserve(await stockItems(db, transaction), needs);
  return rows.map(({ id, name, visitOn }, index) => ({ id, name, visitOn, ...(reservations[index] ?? { reserved: [], missing: [] }) }));
}

/** What a job wants from the van, as the docket keeps it; where that no longer reads, from its document; of one that does not read either, nothing. */
async function needsOf(db: Database, { id, needs }: Pick<JobRow, "id" | "needs">): Promise<readonly VanNeed[]> {
  const read = readStored(z.array(VanNeed), needs ?? "[]");
  if (read.sound) return read.value;
  const job = await jobThatReads(db, id);
  return job ? vanNeeds(job) : [];
}

/** How many parts each job wants that the van does not have. */
export async function missingParts(db: Database): Promise<ReadonlyMap<string, number>> {
  const state = await stateOf(db);
  const known = counted.get(db);
  if (known?.state === state) return known.missing;
  const missing = new Map((await jobParts(db)).map((job) => [job.id, job.missing.length]));
  counted.set(db, { state, missing });
  return missing;
}

/** The missing parts of a database as it was; thousands of jobs are not shared out again for every page of the docket. */
const counted = new WeakMap<Database, { readonly state: string; readonly missing: ReadonlyMap<string, number> }>();

/** Is another after every change, whoever made it. Source: sqlite.org/pragma.html#pragma_data_version, lang_corefunc.html#total_changes. */
async function stateOf({ sequelize }: Database): Promise<string> {
  const [others] = await sequelize.query<{ data_version: number }>("PRAGMA data_version", { type: QueryTypes.SELECT });
  const [own] = await sequelize.query<{ changes: number }>("SELECT total_changes() AS changes", { type: QueryTypes.SELECT });
  return `${others?.data_version} ${own?.changes}`;
}

export type FitRefusal = { readonly code: "no-such-job" } | { readonly code: "missing"; readonly needs: readonly VanNeed[] };

/** The parts of a job were fitted: they leave the van's list, and in the job they are there from now on. All of it or nothing. */
export async function fitParts(
  db: Database,
  id: string,
): Promise<Outcome<{ readonly revision: number; readonly fitted: number }, FitRefusal>> {
  return db.transact(async (transaction) => {
    const current = await findJob(db, id, transaction);
    const parts = (await jobParts(db, transaction)).find((one) => one.id === id);
    if (!current) return refused({ code: "no-such-job" });
    if (!parts) return done({ revision: current.revision, fitted: 0 });
    if (parts.missing.length) return refused({ code: "missing", needs: parts.missing });
    await takeOut(db, parts.reserved, transaction);
    const command: Command = { kind: "batch", commands: vanNeeds(current.job).map(({ part }) => fittedCommand(part)) };
    const applied = editToKeep(current.job, [command]);
    if (!applied.ok) throw new Error(`parts of ${id} could not be marked as fitted: ${JSON.stringify(applied.refusal)}`);
    const [revision, at] = [current.revision + 1, new Date().toISOString()];
    await updateJob(db, { id, ...applied.value, revision, at }, transaction);
    await appendEvent(db, { jobId: id, revision, saveId: randomUUID(), at, event: { kind: "commands", commands: [command] } }, transaction);
    return done({ revision, fitted: parts.reserved.length });
  });
}

/** Takes what is set aside off the van's list. */
async function takeOut(db: Database, reserved: Reservation["reserved"], transaction: Transaction): Promise<void> {
  for (const { id: item, ...fields } of await stockItems(db, transaction)) {
    const taken = reserved.filter((one) => one.item === item).length;
    if (taken) await db.models.stockItems.update(kept({ ...fields, count: fields.count - taken }), { where: { id: item }, transaction });
  }
}

/** Some parts of a job were fitted: those that the van has set aside for it leave the list. */
export async function takeFromVan(db: Database, id: string, needs: readonly VanNeed[], transaction: Transaction): Promise<void> {
  if (needs.length === 0) return;
  const reserved = (await jobParts(db, transaction)).find((one) => one.id === id)?.reserved ?? [];
  const taken = reserved.filter(({ need }) => needs.some(({ part }) => part.kind === need.part.kind && part.id === need.part.id));
  await takeOut(db, taken, transaction);
}

/** A part that was fitted is there from now on. */
export const fittedCommand = ({ kind, id }: Pick<VanNeed["part"], "kind" | "id">): SingleCommand =>
  kind === "cable"
    ? { kind: "edit-cable", cable: id, fields: { supply: "there" } }
    : { kind: "edit-device", device: id, fields: { supply: "there" } };
