import { strFromU8, strToU8, zipSync } from "fflate";
import { emptyJob, MAX_JOB_BYTES, MAX_PACKED_BYTES, readJobText, type Attachment, type Job, type JobTrouble } from "@/core/job";
import { done, refused, type Outcome } from "@/core/outcome";
import { readZip, type ZipBudget, type ZipRefusal } from "@/core/zip";
import { jobFromTemplate } from "@/core/template";
import { findPhoto } from "./attachment-store";
import type { Database } from "./database";
import { findJob, type StoredJob } from "./job-repository";
import { createJob } from "./job-service";
import { createWithPhotos, photosOf, type NewJob } from "./new-job";
import { withRecord } from "./visit-service";

const DOCUMENT = "job.octachord.json";
const photoName = ({ id, type }: Attachment) => `photos/${id}.${type.slice("image/".length)}`;
/** A document and a hundred photos. */
const BUDGET: ZipBudget = { files: 200, bytes: MAX_PACKED_BYTES };
const isPart = (name: string): boolean => name === DOCUMENT || name.startsWith("photos/");

/** Why a file was not accepted. */
export type ImportRefusal =
  { readonly why: "zip"; readonly zip: ZipRefusal } | { readonly why: "document"; readonly troubles: readonly JobTrouble[] };

/** The document and its photos as one zip. */
export async function packJob(db: Database, { id, job }: StoredJob): Promise<Uint8Array> {
  const files: Record<string, Uint8Array> = { [DOCUMENT]: strToU8(`${JSON.stringify(await withRecord(db, { id, job }), null, 2)}\n`) };
  for (const attachment of job.attachments) {
    const photo = await findPhoto(db, id, attachment.id);
    if (photo) files[photoName(attachment)] = photo.bytes;
  }
  return zipSync(files, { level: 0 });
}

export const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** Takes in a job file, or a zip of one with its photos. It always makes a new job. */
export async function importJob(db: Database, bytes: Uint8Array): Promise<Outcome<NewJob, ImportRefusal>> {
  const files = isZip(bytes) ? readZip(bytes, BUDGET, isPart) : done(new Map([[DOCUMENT, bytes]]));
  if (!files.ok) return refused({ why: "zip", zip: files.refusal });
  const text = files.value.get(DOCUMENT);
  if (!text) return refused({ why: "document", troubles: [{ code: "not-a-job" }] });
  if (text.length > MAX_JOB_BYTES)
    return refused({ why: "document", troubles: [{ code: "too-large", bytes: text.length, limit: MAX_JOB_BYTES }] });
  const read = readJobText(strFromU8(text));
  if (!read.ok) return refused({ why: "document", troubles: read.refusal });
  return done(
    await createWithPhotos(db, read.value, "import", (attachment) => Promise.resolve(files.value.get(photoName(attachment)) ?? null)),
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
