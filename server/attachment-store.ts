import { randomUUID } from "node:crypto";
import { mkdir, readdir, readFile, rm, stat, writeFile } from "node:fs/promises";
import { dirname, join } from "node:path";
import { QueryTypes } from "sequelize";
import { ATTACHMENT_TYPES, attachmentTypeOf, isHeic, MAX_ATTACHMENT_BYTES, withoutPlace, type Attachment } from "@/core/job";
import { done, refused, type Outcome } from "@/core/outcome";
import { PHOTO_FOLDER } from "./data-files";
import type { Database } from "./database";
import { DAY_MS } from "./day";

export type AttachmentRefusal =
  | { readonly code: "no-such-job" }
  /** The id that the page gave it belongs to a photo of another job. */
  | { readonly code: "photo-elsewhere" }
  | { readonly code: "photo-too-large"; readonly bytes: number; readonly limit: number }
  | { readonly code: "not-a-photo" }
  /** A picture in a format that browsers do not show. */
  | { readonly code: "heic" };

/** A stored photo's bytes with what they really are. */
export interface StoredPhoto {
  readonly type: Attachment["type"];
  readonly bytes: Uint8Array;
}

const folderOf = (db: Database) => join(dirname(db.file), PHOTO_FOLDER);
// Ids are UUIDs, made here or by a page that has no network yet and checked on the way in, so that no name of a file is ever a path.
const fileOf = (db: Database, id: string) => join(folderOf(db), id);

/** A photo as it comes in. */
interface NewPhoto {
  /** Made by the page that took it, so that a photo that is sent twice is kept once; null: made here. */
  readonly id?: string | null;
  readonly name: string;
  readonly device: string | null;
  readonly bytes: Uint8Array;
}

/** Keeps a photo of a job; what it is is read from its bytes, never from its name. The document names it by an edit of its own. */
export async function keepPhoto(db: Database, jobId: string, photo: NewPhoto): Promise<Outcome<Attachment, AttachmentRefusal>> {
  if (!(await db.models.jobs.findByPk(jobId, { attributes: ["id"] }))) return refused({ code: "no-such-job" });
  const there = photo.id ? await db.models.attachments.findByPk(photo.id) : null;
  if (there && there.jobId !== jobId) return refused({ code: "photo-elsewhere" });
  const type = there && ATTACHMENT_TYPES.find((one) => one === there.type);
  if (there && type)
    return done({ id: there.id, name: photo.name.slice(0, 200) || "photo", type, bytes: there.bytes, device: photo.device });
  const written = await writePhoto(db, photo);
  if (!written.ok) return written;
  try {
    await db.transact((transaction) => db.models.attachments.create(photoRow(jobId, written.value), { transaction }));
  } catch (error) {
    await forgetFiles(db, [written.value.id]);
    throw error;
  }
  return written;
}

/** Writes the bytes of a photo under a name of its own, without where it was taken; its row in the database comes after. */
export async function writePhoto(
  db: Database,
  { id: own = null, name, device, bytes: given }: NewPhoto,
): Promise<Outcome<Attachment, Exclude<AttachmentRefusal, { code: "no-such-job" | "photo-elsewhere" }>>> {
  if (given.length > MAX_ATTACHMENT_BYTES) return refused({ code: "photo-too-large", bytes: given.length, limit: MAX_ATTACHMENT_BYTES });
  const type = attachmentTypeOf(given);
  if (!type) return refused(isHeic(given) ? { code: "heic" } : { code: "not-a-photo" });
  const bytes = withoutPlace(given, type);
  const id = own ?? randomUUID();
  await mkdir(folderOf(db), { recursive: true, mode: 0o700 });
  await writeFile(fileOf(db, id), bytes, { flag: "wx", mode: 0o600 });
  return done({ id, name: name.slice(0, 200) || "photo", type, bytes: bytes.length, device });
}

/** Whether no photo is kept under an id. */
export async function isFreeName(db: Database, id: string): Promise<boolean> {
  if (await db.models.attachments.findByPk(id, { attributes: ["id"] })) return false;
  return stat(fileOf(db, id)).then(
    () => false,
    () => true,
  );
}

/** The row of a photo whose bytes are written. */
export const photoRow = (jobId: string, { id, type, bytes }: Attachment) => ({
  id,
  jobId,
  type,
  bytes,
  createdAt: new Date().toISOString(),
});

/** Takes files away that no row names; one that is gone already is no trouble. */
export async function forgetFiles(db: Database, ids: readonly string[]): Promise<void> {
  await Promise.all(ids.map((id) => rm(fileOf(db, id), { force: true })));
}

/** Files that a crash left between writing them and naming them: those that no row names, and that are older than a day. Gives how many went. */
export async function sweepFiles(db: Database, now = Date.now()): Promise<number> {
  const names = await readdir(folderOf(db)).catch(() => []);
  if (names.length === 0) return 0;
  const rows = await db.models.attachments.findAll({ attributes: ["id"] });
  const known = new Set(rows.map(({ id }) => id));
  const orphans: string[] = [];
  for (const name of names) if (!known.has(name) && now - (await stat(fileOf(db, name))).mtimeMs > DAY_MS) orphans.push(name);
  await forgetFiles(db, orphans);
  return orphans.length;
}

/** So many days an edit that removed a photo can be taken back with its picture. */
const PHOTO_DAYS = 30;

/** Deletes photos that their job names nowhere any more, once nothing of it was saved for as long as an edit is taken back. Gives how many went. */
export async function dropRemovedPhotos(db: Database, now = Date.now()): Promise<number> {
  const gone = await db.sequelize.query<{ id: string }>(
    `SELECT attachments.id FROM attachments JOIN jobs ON jobs.id = attachments.job_id JOIN job_documents ON job_documents.job_id = jobs.id
     WHERE max(jobs.updated_at, attachments.created_at) < :before AND instr(job_documents.document, attachments.id) = 0`,
    { type: QueryTypes.SELECT, replacements: { before: new Date(now - PHOTO_DAYS * DAY_MS).toISOString() } },
  );
  const ids = gone.map(({ id }) => id);
  if (ids.length === 0) return 0;
  await db.transact((transaction) => db.models.attachments.destroy({ where: { id: ids }, transaction }));
  await forgetFiles(db, ids);
  return ids.length;
}

/** A photo of a job; null where the job has none by that id. */
export async function findPhoto(db: Database, jobId: string, id: string): Promise<StoredPhoto | null> {
  const row = await db.models.attachments.findOne({ where: { id, jobId } });
  if (!row) return null;
  const bytes = await readFile(fileOf(db, row.id)).catch(() => null);
  if (!bytes) return null;
  const type = attachmentTypeOf(bytes);
  return type && { type, bytes: new Uint8Array(bytes) };
}
