import { QueryTypes } from "sequelize";
import { z } from "zod";
import { applyAll, Command, readJob, readJobText, salvageJob, type Job, type JobTrouble } from "@/core/job";
import type { Database } from "./database";
import { documentText } from "./job-repository";

/** A stored document that no longer reads, and what can be saved of it. */
export interface DamagedJob {
  readonly id: string;
  readonly text: string;
  readonly troubles: readonly JobTrouble[];
  /** The job as its log of edits tells it, or what of the document still reads; null where neither gives one. */
  readonly saved: { readonly job: Job; readonly from: "log" | "document"; readonly leftOut: readonly string[] } | null;
}

/** Looks at a stored document that may be damaged; null where there is no such job or its document is sound. */
export async function damagedJob(db: Database, id: string): Promise<DamagedJob | null> {
  const text = await documentText(db, id);
  if (text === null) return null;
  const read = readJobText(text);
  if (read.ok) return null;
  return { id, text, troubles: read.refusal, saved: await savedOf(db, id, text) };
}

async function savedOf(db: Database, id: string, text: string): Promise<DamagedJob["saved"]> {
  const fromLog = await jobFromLog(db, id);
  if (fromLog) return { job: fromLog, from: "log", leftOut: [] };
  try {
    const salvaged = salvageJob(JSON.parse(text));
    return salvaged.ok ? { ...salvaged.value, from: "document" } : null;
  } catch {
    return null;
  }
}

const Event = z.union([
  z.object({ kind: z.enum(["new", "import", "copy", "document"]), document: z.unknown() }),
  z.object({ kind: z.literal("commands"), commands: z.array(Command) }),
]);

/** The job as every save that was ever taken in makes it; null where the log has a gap or no longer reads. */
async function jobFromLog(db: Database, id: string): Promise<Job | null> {
  const rows = await db.sequelize.query<{ revision: number; event: string }>(
    "SELECT revision, event FROM job_events WHERE job_id = :id ORDER BY revision",
    { type: QueryTypes.SELECT, replacements: { id } },
  );
  let job: Job | null = null;
  for (const [index, row] of rows.entries()) {
    const event = Event.safeParse(JSON.parse(row.event));
    if (!event.success || row.revision !== index + 1) return null;
    job = "document" in event.data ? documentOf(event.data.document) : job && madeOn(job, event.data.commands);
    if (!job) return null;
  }
  return job;
}

const documentOf = (raw: unknown): Job | null => {
  const read = readJob(raw);
  return read.ok ? read.value : null;
};

function madeOn(job: Job, commands: readonly Command[]): Job | null {
  const made = applyAll(job, commands);
  return made.ok ? made.value : null;
}
