import { strFromU8, strToU8, zipSync } from "fflate";
import { emptyJob, MAX_JOB_BYTES, MAX_PACKED_BYTES, readJobText, type Job, type JobTrouble } from "@/core/job";
import { done, refused, type Outcome } from "@/core/outcome";
import { isReadFromPackage, jobFileText, PACKAGE_DOCUMENT, packagePhoto } from "@/core/report";
import { readZip, type ZipBudget, type ZipRefusal } from "@/core/zip";
import { jobFromTemplate } from "@/core/template";
import { findPhoto } from "./attachment-store";
import type { Database } from "./database";
import { findJob, type StoredJob } from "./job-repository";
import { createJob } from "./job-service";
import { createWithPhotos, photosOf, type NewJob } from "./new-job";
import { withRecord } from "./visit-service";

/** A document, a hundred photos, and what a package has beside them. */
const BUDGET: ZipBudget = { files: 1000, bytes: MAX_PACKED_BYTES };

/** Why a file was not accepted. */
export type ImportRefusal =
  { readonly why: "zip"; readonly zip: ZipRefusal } | { readonly why: "document"; readonly troubles: readonly JobTrouble[] };

/** The document and its photos as one zip. */
export async function packJob(db: Database, { id, job }: StoredJob): Promise<Uint8Array> {
  const files: Record<string, Uint8Array> = { [PACKAGE_DOCUMENT]: strToU8(jobFileText(await withRecord(db, { id, job }))) };
  for (const attachment of job.attachments) {
    const photo = await findPhoto(db, id, attachment.id);
    if (photo) files[packagePhoto(attachment)] = photo.bytes;
  }
  return zipSync(files, { level: 0 });
}

export const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** Takes in a job file, or a zip of one with its photos. It always makes a new job. */
export async function importJob(db: Database, bytes: Uint8Array): Promise<Outcome<NewJob, ImportRefusal>> {
  const files = isZip(bytes) ? readZip(bytes, BUDGET, isReadFromPackage) : done(new Map([[PACKAGE_DOCUMENT, bytes]]));
  if (!files.ok) return refused({ why: "zip", zip: files.refusal });
  const text = files.value.get(PACKAGE_DOCUMENT);
  if (!text) return refused({ why: "document", troubles: [{ code: "not-a-job" }] });
  if (text.length > MAX_JOB_BYTES)
    return refused({ why: "document", troubles: [{ code: "too-large", bytes: text.length, limit: MAX_JOB_BYTES }] });
  const read = readJobText(strFromU8(text));
  if (!read.ok) return refused({ why: "document", troubles: read.refusal });
  return done(
    await createWithPhotos(db, read.value, "import", (attachment) => Promise.resolve(files.value.get(packagePhoto(attachment)) ?? null)),
  );
}

/** A copy of a job under another name, its photos with it; null where there is no such job. */
export async function copyJob(db: Database, id: string, name: string): Promise<StoredJob | null> {
  const original = await findJob(db, id);
  if (!original) return null;
  const copy: Job = { ...original.job, name, phase: "survey", visitOn: null };
  return (await createWithPhotos(db, copy, "copy", photosOf(db, id))).stored;
}

/** A new job with nothing in it, or from a template; null where there is no such template. */
export async function startJob(db: Database, name: string, template: string | null): Promise<StoredJob | null> {
  const job = template === null ? emptyJob(name) : jobFromTemplate(template, name);
  return job && createJob(db, job, "new");
}
