import { Op } from "sequelize";
import { dueOf, type Due } from "@/core/handover";
import type { VisitEntry } from "@/core/job";
import { dueSentence } from "@/core/text";
import type { Database } from "./database";
import { findJob } from "./job-repository";
import { visitRecord } from "./visit-service";

/** Something due in a job of the docket. */
export interface DueInJob {
  /** The same for the same thing from day to day. */
  readonly id: string;
  readonly job: string;
  readonly name: string;
  readonly customer: string;
  readonly address: string;
  readonly on: string;
  readonly kind: Due["due"];
  readonly says: string;
}

/** Entries from which something can become due. */
const MARKS = ['%"event":{%', '%"step":"firmware %'] as const;

/** Jobs of the docket whose record holds something to come back for. */
async function jobsToLookAt(db: Database): Promise<readonly string[]> {
  const rows = await db.models.visitEntries.findAll({
    where: { entry: { [Op.or]: MARKS.map((mark) => ({ [Op.like]: mark })) } },
    attributes: ["jobId"],
    group: ["jobId"],
  });
  const kept = await db.models.jobs.findAll({ where: { id: rows.map(({ jobId }) => jobId), binnedAt: null }, attributes: ["id"] });
  return kept.map(({ id }) => id);
}

/** What is due in all jobs until a day, that day included, the longest overdue first. */
export async function dueUntil(db: Database, day: string): Promise<readonly DueInJob[]> {
  const all: DueInJob[] = [];
  for (const id of await jobsToLookAt(db)) {
    const found = await findJob(db, id).catch(() => null);
    if (!found) continue;
    const { job } = found;
    const record: readonly VisitEntry[] = await visitRecord(db, id);
    for (const due of dueOf(job, record))
      if (due.on <= day)
        all.push({
          id: `${id}-${due.due}-${due.due === "promised" ? due.id : due.on}`,
          job: id,
          name: job.name,
          customer: job.customer,
          address: job.visit.address,
          on: due.on,
          kind: due.due,
          says: dueSentence(job, due),
        });
  }
  return all.toSorted((a, b) => a.on.localeCompare(b.on) || a.name.localeCompare(b.name));
}
