import { randomUUID } from "node:crypto";
import type { Attachment, Job } from "@/core/job";
import { findPhoto, forgetFiles, isFreeName, photoRow, writePhoto } from "./attachment-store";
import type { Database } from "./database";
import type { StoredJob } from "./job-repository";
import { createJobIn, type JobOrigin } from "./job-service";

/** Gives the bytes of a photo that a document names; null where they are not there. */
export type PhotoBytes = (attachment: Attachment) => Promise<Uint8Array | null>;

/** A new job, with the photos that its document names and whose bytes were not there or are no photo. */
export interface NewJob {
  readonly stored: StoredJob;
  readonly withoutBytes: readonly Attachment[];
}

/** The photos of a stored job, for a new one. */
export const photosOf =
  (db: Database, jobId: string): PhotoBytes =>
  async ({ id }) =>
    (await findPhoto(db, jobId, id))?.bytes ?? null;

/**
 * Keeps a new job with its photos: the document, its log and the photos' rows are one transaction, and where that fails the files go again.
 * A photo keeps its name where no other job has it, so that what was exported comes back as it was; else it gets one of its own. One without
 * bytes is left out of the document and told.
 */
export async function createWithPhotos(db: Database, job: Job, origin: JobOrigin, bytesOf: PhotoBytes): Promise<NewJob> {
  const id = randomUUID();
  const written: Attachment[] = [];
  const withoutBytes: Attachment[] = [];
  const names = new Map<string, string>();
  try {
    for (const attachment of job.attachments) {
      const bytes = await bytesOf(attachment);
      const id = (await isFreeName(db, attachment.id)) ? attachment.id : null;
      const photo = bytes && (await writePhoto(db, { id, name: attachment.name, device: attachment.device, bytes }));
      if (photo?.ok) {
        written.push(photo.value);
        names.set(attachment.id, photo.value.id);
      } else withoutBytes.push(attachment);
    }
    const stored = await db.transact(async (transaction) => {
      const made = await createJobIn(
        db,
        { id, job: { ...job, attachments: written, record: withPhotosNamed(job.record, names) }, origin },
        transaction,
      );
      for (const photo of written) await db.models.attachments.create(photoRow(id, photo), { transaction });
      return made;
    });
    return { stored, withoutBytes };
  } catch (error) {
    await forgetFiles(
      db,
      written.map((photo) => photo.id),
    );
    throw error;
  }
}

/** The record of a visit with the photos under their new names; one that is not there is left out. */
const withPhotosNamed = (record: Job["record"], names: ReadonlyMap<string, string>): Job["record"] =>
  record.map((entry) => ({ ...entry, photos: entry.photos.flatMap((id) => names.get(id) ?? []) }));
