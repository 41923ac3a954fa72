import { createHash } from "node:crypto";
import { mkdir, readdir, readFile, rename, rm, stat, writeFile } from "node:fs/promises";
import { basename, dirname, join } from "node:path";
import { z } from "zod";
import { done, refused, type Outcome } from "@/core/outcome";
import { readZip, type ZipRefusal } from "@/core/zip";
import { backupFolder, backUpFile, stampOf } from "./backup-file";
import { DATABASE_FILE, LAST_BACKUP_FILE, LAST_SAVE_FILE, PHOTO_FOLDER } from "./data-files";
import { connect, layAside, openDatabase, structureOf, type Database } from "./database";
import { lockFolder } from "./folder-lock";
import { readStored } from "./stored";
import { partOfFile, partOfText, writeZip } from "./zip-file";

const LIST = "checksums.json";
const Checksums = z.record(z.string(), z.string());

/** The largest backup that is read back: a zip without 64-bit sizes. */
const MOST_BYTES = 2 ** 32 - 1;

/** A backup that was written and read back. */
export interface Backup {
  readonly file: string;
  readonly bytes: number;
  readonly photos: number;
}

/**
 * Writes everything that a firm has into one file: the database as it is, all photos, and a list of checksums. The file is opened again
 * and checked before it counts as a backup.
 */
export async function backUpAll(db: Database, folder: string, file: string, at = new Date()): Promise<Backup> {
  const copy = await backUpFile(db.sequelize, folder, "for-backup", at);
  try {
    const names = await readdir(join(folder, PHOTO_FOLDER)).catch(() => []);
    const parts = [
      partOfFile(DATABASE_FILE, copy),
      ...names.map((name) => partOfFile(`${PHOTO_FOLDER}/${name}`, join(folder, PHOTO_FOLDER, name))),
    ];
    await writeZip(`${file}.part`, parts, (sums) => partOfText(LIST, JSON.stringify(sums, null, 2)));
    const checked = await readBackup(`${file}.part`);
    if (!checked.ok) throw new Error(`The backup could not be read back: ${JSON.stringify(checked.refusal)}`);
    await rename(`${file}.part`, file);
    await writeFile(join(folder, LAST_BACKUP_FILE), JSON.stringify({ at: at.toISOString(), file: basename(file) }), { mode: 0o600 });
    return { file, bytes: (await stat(file)).size, photos: names.length };
  } finally {
    await rm(copy, { force: true });
    await rm(`${file}.part`, { force: true });
  }
}

/** A backup for the browser, in a file that goes again when it was sent. */
export async function packBackup(db: Database, at = new Date()): Promise<Backup & { readonly forget: () => Promise<void> }> {
  const folder = dirname(db.file);
  await mkdir(backupFolder(folder), { recursive: true, mode: 0o700 });
  const backup = await backUpAll(db, folder, join(backupFolder(folder), `octachord-backup-${stampOf(at)}.zip`), at);
  return { ...backup, forget: () => rm(backup.file, { force: true }) };
}

/** Why a file is not restored. */
export type BackupRefusal =
  | { readonly code: "not-a-backup" }
  | { readonly code: "zip"; readonly zip: ZipRefusal }
  | { readonly code: "checksum"; readonly name: string }
  | { readonly code: "database-damaged"; readonly words: string };

async function readBackup(file: string): Promise<Outcome<ReadonlyMap<string, Uint8Array>, BackupRefusal>> {
  const bytes = new Uint8Array(await readFile(file));
  const files = readZip(bytes, { files: 65_535, bytes: MOST_BYTES }, () => true);
  if (!files.ok) return refused({ code: "zip", zip: files.refusal });
  const list = files.value.get(LIST);
  const sums = readStored(Checksums, list ? new TextDecoder().decode(list) : null);
  if (!sums.sound || !files.value.has(DATABASE_FILE)) return refused({ code: "not-a-backup" });
  for (const [name, sum] of Object.entries(sums.value)) {
    const part = files.value.get(name);
    if (!part || createHash("sha256").update(part).digest("hex") !== sum) return refused({ code: "checksum", name });
  }
  return done(new Map([...files.value].filter(([name]) => name === DATABASE_FILE || /^attachments\/[0-9a-f-]{36}$/.test(name))));
}

/** What was restored, and where the former data are kept. */
export interface Restored {
  readonly jobs: number;
  readonly photos: number;
  readonly newest: string | null;
  readonly replaced: string | null;
}

/**
 * Puts a backup in the place of what a folder holds. A damaged one is refused before anything is touched; what it replaces is kept beside
 * it. No server may work on the folder meanwhile.
 */
export async function restoreBackup(folder: string, file: string, at = new Date()): Promise<Outcome<Restored, BackupRefusal>> {
  const files = await readBackup(file);
  if (!files.ok) return files;
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const release = await lockFolder(folder);
  const fresh = join(folder, `restoring-${stampOf(at)}`);
  try {
    await mkdir(join(fresh, PHOTO_FOLDER), { recursive: true, mode: 0o700 });
    for (const [name, bytes] of files.value) await writeFile(join(fresh, name), bytes, { mode: 0o600 });
    const [damage] = await structureOfFile(join(fresh, DATABASE_FILE));
    if (damage !== undefined) return refused({ code: "database-damaged", words: damage });
    const why = "replaced";
    const held = (await readdir(folder)).includes(DATABASE_FILE);
    await layAside(folder, why, at);
    await rename(join(folder, PHOTO_FOLDER), join(folder, `${why}-${stampOf(at)}-${PHOTO_FOLDER}`)).catch(() => undefined);
    await rm(join(folder, LAST_SAVE_FILE), { force: true });
    await rename(join(fresh, DATABASE_FILE), join(folder, DATABASE_FILE));
    await rename(join(fresh, PHOTO_FOLDER), join(folder, PHOTO_FOLDER));
    const db = await openDatabase(folder);
    const [jobs, photos, newest] = await Promise.all([
      db.models.jobs.count(),
      db.models.attachments.count(),
      db.models.jobs.max<string, typeof db.models.jobs.prototype>("updatedAt"),
    ]);
    await db.close();
    return done({
      jobs,
      photos,
      newest: typeof newest === "string" ? newest : null,
      replaced: held ? `${why}-${stampOf(at)}.sqlite` : null,
    });
  } finally {
    await rm(fresh, { recursive: true, force: true });
    await release();
  }
}

async function structureOfFile(file: string): Promise<readonly string[]> {
  const sequelize = connect(file);
  try {
    return await structureOf(sequelize);
  } catch (error) {
    return [error instanceof Error ? error.message : String(error)];
  } finally {
    await sequelize.close();
  }
}

const DAYS_KEPT = 7;
const MONTHS_KEPT = 6;
const DAILY = /^day-(\d{4}-\d{2})-(\d{2})-.*\.sqlite$/;

/** A copy of the database for today where there is none yet; of older ones the last seven days and the last six months are kept. */
export async function dailyBackup(db: Database, folder: string, at = new Date()): Promise<void> {
  const day = at.toISOString().slice(0, 10);
  const names = (await readdir(backupFolder(folder)).catch(() => [])).filter((name) => DAILY.test(name)).toSorted();
  if (!names.some((name) => name.startsWith(`day-${day}-`))) names.push(basename(await backUpFile(db.sequelize, folder, `day-${day}`, at)));
  const kept = keptOf(names);
  for (const name of names) if (!kept.has(name)) await rm(join(backupFolder(folder), name), { force: true });
}

/** The newest copies of the last days, and the first of each of the last months. */
export function keptOf(names: readonly string[]): ReadonlySet<string> {
  const sorted = names.toSorted();
  const firsts = new Map<string, string>();
  for (const name of sorted) {
    const month = DAILY.exec(name)?.[1];
    if (month !== undefined && !firsts.has(month)) firsts.set(month, name);
  }
  return new Set([...sorted.slice(-DAYS_KEPT), ...[...firsts.values()].slice(-MONTHS_KEPT)]);
}

/** What copies there are, for a person to see. */
export interface BackupState {
  readonly folder: string;
  /** Copies of the database that this machine keeps by itself, the newest last. */
  readonly copies: readonly { readonly name: string; readonly bytes: number; readonly at: string }[];
  /** When everything was last packed into a file that can be carried off this machine; null: never. */
  readonly lastWhole: { readonly at: string; readonly file: string } | null;
}

const LastWhole = z.object({ at: z.string(), file: z.string() });

export async function backupState({ file }: Database): Promise<BackupState> {
  const folder = dirname(file);
  const names = (await readdir(backupFolder(folder)).catch(() => [])).filter((name) => name.endsWith(".sqlite"));
  const copies = await Promise.all(
    names.map(async (name) => {
      const { size, mtime } = await stat(join(backupFolder(folder), name));
      return { name, bytes: size, at: mtime.toISOString() };
    }),
  );
  const last = readStored(LastWhole, await readFile(join(folder, LAST_BACKUP_FILE), "utf8").catch(() => null));
  return {
    folder: backupFolder(folder),
    copies: copies.toSorted((a, b) => (a.at < b.at ? -1 : 1)),
    lastWhole: last.sound ? last.value : null,
  };
}
