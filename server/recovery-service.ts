import { readJobText, salvageJob, textToKeep, type Job, type JobTrouble } from "@/core/job";
import { done, refused, type Outcome } from "@/core/outcome";
import type { Database } from "./database";
import { documentText, type StoredJob } from "./job-repository";
import { readLog } from "./log-service";
import { createWithPhotos, photosOf } from "./new-job";

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
  const { entries, isWhole } = await readLog(db, id);
  const last = entries.at(-1);
  if (last && isWhole && textToKeep(last.job).ok) return { job: last.job, from: { kind: "log" }, leftOut: [] };
  const fromDocument = salvageJob(parsed(text));
  if (fromDocument.ok) return { ...fromDocument.value, from: { kind: "document" } };
  if (!last) return null;
  const fromLog = salvageJob(last.job);
  return fromLog.ok ? { ...fromLog.value, from: { kind: "log-until", revision: last.revision } } : null;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
