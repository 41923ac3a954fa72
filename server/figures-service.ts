import { Op } from "sequelize";
import { firmFigures, recurringTroubles, type FirmFigures, type KindHistory } from "@/core/handover";
import { VisitEntry } from "@/core/job";
import type { Database } from "./database";
import { summaryOf } from "./docket-service";
import { readStored } from "./stored";

/** Entries that figures are counted from: what was seen, searches, and what happened to a job. */
const MARKS = ['%"event":{%', '%"fix":{%', '%"sees":"%', '%"sees":{%'] as const;

/** The entries of all jobs that figures are counted from, by job. */
async function countedRecords(db: Database): Promise<ReadonlyMap<string, readonly VisitEntry[]>> {
  const rows = await db.models.visitEntries.findAll({
    where: { entry: { [Op.or]: MARKS.map((mark) => ({ [Op.like]: mark })) } },
    attributes: ["jobId", "entry"],
    order: [
      ["at", "ASC"],
      ["id", "ASC"],
    ],
  });
  const records = new Map<string, VisitEntry[]>();
  for (const { jobId, entry } of rows) {
    const read = readStored(VisitEntry, entry);
    if (!read.sound) continue;
    const known = records.get(jobId);
    if (known) known.push(read.value);
    else records.set(jobId, [read.value]);
  }
  return records;
}

/** What the firm's own jobs tell: its figures, and the troubles that devices of one class had again and again. Jobs in the bin do not count. */
export async function figuresOf(db: Database): Promise<{ readonly figures: FirmFigures; readonly recurring: readonly KindHistory[] }> {
  const rows = await db.models.jobs.findAll({ where: { binnedAt: null }, order: [["id", "ASC"]] });
  const records = await countedRecords(db);
  const jobs = [];
  for (const row of rows) {
    const summary = await summaryOf(db, row);
    if (!summary) continue;
    const record = records.get(row.id) ?? [];
    jobs.push({ id: row.id, name: row.name, losses: summary.losses, kinds: summary.kinds, record });
  }
  return { figures: firmFigures(jobs), recurring: recurringTroubles(jobs) };
}
