import { randomUUID } from "node:crypto";
import { mkdir, readFile, writeFile } from "node:fs/promises";
import { dirname, join } from "node:path";
import { attachmentTypeOf, MAX_ATTACHMENT_BYTES, type Attachment } from "@/core/job";
import { done, refused, type Outcome } from "@/core/outcome";
import type { Database } from "./database";

export type AttachmentRefusal =
  | { readonly code: "no-such-job" }
  | { readonly code: "photo-too-large"; readonly bytes: number; readonly limit: number }
  | { readonly code: "not-a-photo" };

/** A stored photo's bytes with what they really are. */
export interface StoredPhoto {
  readonly type: Attachment["type"];
  readonly bytes: Uint8Array;
}

const folderOf = (db: Database) => join(dirname(db.file), "attachments");
// Ids are made here and never come from outside, so that no name of a file is ever a path.
const fileOf = (db: Database, id: string) => join(folderOf(db), id);

/** Keeps a photo of a job; what it is is read from its bytes, never from its name. The document names it by an edit of its own. */
export async function keepPhoto(
  db: Database,
  jobId: string,
  photo: { readonly name: string; readonly device: string | null; readonly bytes: Uint8Array },
): Promise<Outcome<Attachment, AttachmentRefusal>> {
  const { length } = photo.bytes;
  if (length > MAX_ATTACHMENT_BYTES) return refused({ code: "photo-too-large", bytes: length, limit: MAX_ATTACHMENT_BYTES });
  const type = attachmentTypeOf(photo.bytes);
  if (!type) return refused({ code: "not-a-photo" });
  if (!(await db.models.jobs.findByPk(jobId, { attributes: ["id"] }))) return refused({ code: "no-such-job" });
  const id = randomUUID();
  await mkdir(folderOf(db), { recursive: true });
  await writeFile(fileOf(db, id), photo.bytes, { flag: "wx" });
  await db.transact((transaction) =>
    db.models.attachments.create({ id, jobId, type, bytes: length, createdAt: new Date().toISOString() }, { transaction }),
  );
  return done({ id, name: photo.name.slice(0, 200) || "photo", type, bytes: length, device: photo.device });
}

/** A photo of a job; null where the job has none by that id. */
export async function findPhoto(db: Database, jobId: string, id: string): Promise<StoredPhoto | null> {
  const row = await db.models.attachments.findOne({ where: { id, jobId } });
  if (!row) return null;
  const bytes = new Uint8Array(await readFile(fileOf(db, row.id)));
  const type = attachmentTypeOf(bytes);
  return type && { type, bytes };
}
