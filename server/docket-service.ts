import { z } from "zod";
import { PHASES, type VisitEntry } from "@/core/job";
import { provenSoFar } from "@/core/proof";
import { BIN_DAYS, DOCKET_VERSION, type DocketLine, type DocketSummary } from "@/core/report";
import type { Database } from "./database";
import { DAY_MS } from "./day";
import { findDocketRows, jobThatReads, PAGE_SIZE, rowsOneByOne, summaryColumns, type JobQuery } from "./job-repository";
import type { JobRow } from "./models/models";
import { missingParts } from "./stock-service";
import { readStored } from "./stored";
import { proofRecords } from "./visit-service";

export interface DocketPage {
  readonly jobs: readonly DocketLine[];
  readonly total: number;
  readonly page: number;
  readonly pageSize: number;
}

/** The outline of a kept summary, enough to tell it from a damaged one. */
const Summary = z.looseObject({
  rows: z.number(),
  whole: z.number(),
  waiting: z.number(),
  unknown: z.number(),
  next: z.looseObject({}),
  checks: z.array(z.looseObject({ id: z.string() })),
  losses: z.record(z.string(), z.number()),
  kinds: z.array(z.looseObject({ archetype: z.string(), device: z.string() })),
  worst: z.looseObject({ arrival: z.looseObject({}), spoken: z.string() }).nullable(),
});

/** A page of the docket, each job with its worst arrival, what is due and what holds it up. */
export async function docketPage(db: Database, query: JobQuery): Promise<DocketPage> {
  const { rows, total } = await findDocketRows(db, query).catch(async (error: unknown) => {
    // A damaged page costs what is on it: without the order and the search, what is left is found row by row.
    if (db.damage.length === 0) throw error;
    const left = await rowsOneByOne(db, query);
    return { rows: left.slice((query.page - 1) * PAGE_SIZE, query.page * PAGE_SIZE), total: left.length };
  });
  const missing = await missingParts(db).catch((error: unknown) => {
    if (db.damage.length === 0) throw error;
    return new Map<string, number>();
  });
  const records = await proofRecords(
    db,
    rows.map(({ id }) => id),
  ).catch((error: unknown) => {
    if (db.damage.length === 0) throw error;
    return new Map<string, ReadonlyMap<string, VisitEntry>>();
  });
  const jobs = await Promise.all(
    rows.map(async (row): Promise<DocketLine> => {
      const { id, name, customer, visitOn, updatedAt } = row;
      const phase = PHASES.find((one) => one === row.phase) ?? "survey";
      const summary = await summaryOf(db, row);
      const erasedOn = row.binnedAt === null ? null : new Date(Date.parse(row.binnedAt) + BIN_DAYS * DAY_MS).toISOString();
      const proven = provenSoFar(summary?.checks ?? [], records.get(id) ?? new Map<string, VisitEntry>());
      return { id, name, customer, visitOn, phase, updatedAt, summary, missingParts: missing.get(id) ?? 0, proven, erasedOn };
    }),
  );
  return { jobs, total, page: query.page, pageSize: PAGE_SIZE };
}

/** The kept summary; one that an older program made, or none, is made again and kept. Null where the document does not read. */
export async function summaryOf(db: Database, row: JobRow): Promise<DocketSummary | null> {
  const kept = row.summaryVersion === DOCKET_VERSION ? readStored(Summary, row.summary) : null;
  // The column is written from `docketSummary` alone; what reads in outline is one.
  if (kept?.sound) return kept.value as unknown as DocketSummary;
  const job = await jobThatReads(db, row.id);
  if (!job) return null;
  const columns = summaryColumns(job);
  await db.transact((transaction) => db.models.jobs.update(columns, { where: { id: row.id }, transaction }));
  return JSON.parse(columns.summary) as DocketSummary;
}

/** How many jobs are offered by name alone. */
const MOST_NAMED = 500;

/** The names of the firm's jobs, the latest first. */
export async function jobNames(db: Database): Promise<readonly { readonly id: string; readonly name: string }[]> {
  const rows = await db.models.jobs.findAll({
    where: { binnedAt: null },
    attributes: ["id", "name"],
    order: [["updatedAt", "DESC"]],
    limit: MOST_NAMED,
  });
  return rows.map(({ id, name }) => ({ id, name }));
}
