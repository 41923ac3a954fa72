import { QueryTypes } from "sequelize";
import { z } from "zod";
import { applyAll, readCommands, readJob, readJobText, salvageJob, textToKeep, type Job, type JobTrouble } from "@/core/job";
import { done, refused, type Outcome } from "@/core/outcome";
import type { Database } from "./database";
import { documentText, type StoredJob } from "./job-repository";
import { createWithPhotos, photosOf } from "./new-job";
import { readStored } from "./stored";

/** A stored document that no longer reads, and what can be saved of it. */
export interface DamagedJob {
  readonly id: string;
  readonly text: string;
  readonly troubles: readonly JobTrouble[];
  readonly saved: SavedJob | null;
}

/** A sound job made of a damaged one. */
export interface SavedJob {
  readonly job: Job;
  /** By its log of edits, whole or up to a revision, or from what of the document still reads. */
  readonly from: { readonly kind: "log" } | { readonly kind: "log-until"; readonly revision: number } | { readonly kind: "document" };
  readonly leftOut: readonly string[];
}

/** Looks at a stored document that may be damaged; null where there is no such job or its document is sound. */
export async function damagedJob(db: Database, id: string): Promise<DamagedJob | null> {
  const text = await documentText(db, id);
  if (text === null) return null;
  const read = readJobText(text);
  if (read.ok) return null;
  return { id, text, troubles: read.refusal, saved: await savedOf(db, id, text) };
}

export type SalvageRefusal = { readonly code: "no-such-job" } | { readonly code: "nothing-to-save" };

/** Makes a new job of what can be saved of a damaged one, its photos with it; the damaged one stays as it is. */
export async function salvageStored(db: Database, id: string): Promise<Outcome<StoredJob, SalvageRefusal>> {
  const damaged = await damagedJob(db, id);
  if (!damaged) return refused({ code: "no-such-job" });
  if (!damaged.saved) return refused({ code: "nothing-to-save" });
  return done((await createWithPhotos(db, damaged.saved.job, "import", photosOf(db, id))).stored);
}

/** The log where all of it reads and leaves a sound job, else what the document gives, else the log as far as it reads. */
async function savedOf(db: Database, id: string, text: string): Promise<SavedJob | null> {
  const log = await jobFromLog(db, id);
  if (log?.isWhole && textToKeep(log.job).ok) return { job: log.job, from: { kind: "log" }, leftOut: [] };
  const fromDocument = salvageJob(parsed(text));
  if (fromDocument.ok) return { ...fromDocument.value, from: { kind: "document" } };
  if (!log) return null;
  const fromLog = salvageJob(log.job);
  return fromLog.ok ? { ...fromLog.value, from: { kind: "log-until", revision: log.revision } } : null;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

const Event = z.union([
  z.object({ kind: z.enum(["new", "import", "copy", "document"]), document: z.unknown() }),
  z.object({ kind: z.literal("commands"), commands: z.array(z.unknown()) }),
]);
type Event = z.infer<typeof Event>;

interface FromLog {
  readonly job: Job;
  readonly revision: number;
  /** Every save that was taken in still reads. */
  readonly isWhole: boolean;
}

/** The job as the saves that were taken in make it, up to the first that no longer reads; null where not even the first does. */
async function jobFromLog(db: Database, id: string): Promise<FromLog | null> {
  const rows = await db.sequelize.query<{ revision: number; event: string; version: number }>(
    "SELECT revision, event, version FROM job_events WHERE job_id = :id ORDER BY revision",
    { type: QueryTypes.SELECT, replacements: { id } },
  );
  let last = null as FromLog | null;
  for (const [index, row] of rows.entries()) {
    const event = readStored(Event, row.event);
    const job: Job | null = event.sound && row.revision === index + 1 ? jobAfter(last?.job ?? null, event.value, row.version) : null;
    if (!job) return last && { ...last, isWhole: false };
    last = { job, revision: row.revision, isWhole: true };
  }
  return last;
}

/** The job after an entry of the log; null where the entry cannot be made. What the documents break is judged at the end. */
function jobAfter(job: Job | null, event: Event, version: number): Job | null {
  if ("document" in event) {
    const read = readJob(event.document);
    return read.ok ? read.value : null;
  }
  const commands = readCommands(version, event.commands);
  const made = job && commands && applyAll(job, commands);
  return made?.ok ? made.value : null;
}
