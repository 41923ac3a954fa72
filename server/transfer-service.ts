import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import {
  emptyJob,
  MAX_ATTACHMENT_BYTES,
  MAX_JOB_BYTES,
  readJobText,
  type Attachment,
  type Command,
  type Job,
  type JobTrouble,
} from "@/core/job";
import { done, refused, type Outcome } from "@/core/outcome";
import { jobFromTemplate } from "@/core/template";
import { findPhoto, keepPhoto } from "./attachment-store";
import type { Database } from "./database";
import { findJob, type StoredJob } from "./job-repository";
import { createJob, saveJob } from "./job-service";

const DOCUMENT = "job.octachord.json";
const photoName = ({ id, type }: Attachment) => `photos/${id}.${type.slice("image/".length)}`;
const MOST_PHOTOS = 100;

/** The document and its photos as one zip. */
export async function packJob(db: Database, { id, job }: StoredJob): Promise<Uint8Array> {
  const files: Record<string, Uint8Array> = { [DOCUMENT]: strToU8(`${JSON.stringify(job, null, 2)}\n`) };
  for (const attachment of job.attachments) {
    const photo = await findPhoto(db, id, attachment.id);
    if (photo) files[photoName(attachment)] = photo.bytes;
  }
  return zipSync(files, { level: 0 });
}

export const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** Takes in a job file, or a zip of one with its photos. It always makes a new job. */
export async function importJob(db: Database, bytes: Uint8Array): Promise<Outcome<StoredJob, readonly JobTrouble[]>> {
  const files = isZip(bytes) ? unpack(bytes) : { [DOCUMENT]: bytes };
  const text = files?.[DOCUMENT];
  if (!files || !text) return refused([{ code: "not-a-job" }]);
  const read = readJobText(strFromU8(text));
  if (!read.ok) return read;
  return done(await createWithPhotos(db, read.value, "import", (attachment) => Promise.resolve(files[photoName(attachment)] ?? null)));
}

/** Only what a packed job holds, each within its limit; null where the zip does not open. */
function unpack(bytes: Uint8Array): Record<string, Uint8Array> | null {
  try {
    let photos = 0;
    return unzipSync(bytes, {
      filter: ({ name, originalSize }) =>
        name === DOCUMENT
          ? originalSize <= MAX_JOB_BYTES
          : name.startsWith("photos/") && originalSize <= MAX_ATTACHMENT_BYTES && (photos += 1) <= MOST_PHOTOS,
    });
  } catch {
    return null;
  }
}

/** A copy of a job under another name, its photos with it; null where there is no such job. */
export async function copyJob(db: Database, id: string, name: string): Promise<StoredJob | null> {
  const original = await findJob(db, id);
  if (!original) return null;
  const copy: Job = { ...original.job, name, phase: "survey", visitOn: null };
  return createWithPhotos(db, copy, "copy", async (attachment) => (await findPhoto(db, id, attachment.id))?.bytes ?? null);
}

/** A new job with nothing in it, or from a template; null where there is no such template. */
export async function startJob(db: Database, name: string, template: string | null): Promise<StoredJob | null> {
  const job = template === null ? emptyJob(name) : jobFromTemplate(template, name);
  return job && createJob(db, job, "new");
}

/** Photos get names of their own in the new job; one whose bytes are not there, or are no photo, is left out of the document. */
async function createWithPhotos(
  db: Database,
  job: Job,
  origin: "import" | "copy",
  bytesOf: (attachment: Attachment) => Promise<Uint8Array | null>,
): Promise<StoredJob> {
  const created = await createJob(db, { ...job, attachments: [] }, origin);
  const commands: Command[] = [];
  for (const attachment of job.attachments) {
    const bytes = await bytesOf(attachment);
    const photo = bytes && (await keepPhoto(db, created.id, { ...attachment, bytes }));
    if (photo?.ok) commands.push({ kind: "attach", attachment: photo.value, at: null });
  }
  if (commands.length === 0) return created;
  const saved = await saveJob(db, created.id, { revision: created.revision, commands });
  return saved.ok ? saved.value : created;
}
