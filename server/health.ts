import { statfs } from "node:fs/promises";
import { dirname } from "node:path";
import { QueryTypes } from "sequelize";
import type { Database } from "./database";

export interface Health {
  /** The file is sound, or reads in parts; or the disk has no room for the next save. */
  readonly status: "ok" | "damaged" | "disk-full";
  readonly journalMode: string;
  readonly jobs: number;
  /** Saves that were kept once and are not in the file. */
  readonly missingSaves: number;
}

/** With less room than this on the disk a save may not fit: a job with its log and a copy of pages, in bytes. */
const LEAST_FREE = 1024 * 1024;

/** Asks the database a real question; throws when it does not answer. */
export async function healthOf(db: Database): Promise<Health> {
  const [row] = await db.sequelize.query<{ journal_mode: string }>("PRAGMA journal_mode", { type: QueryTypes.SELECT });
  return {
    status: db.damage.length ? "damaged" : (await hasRoom(db)) ? "ok" : "disk-full",
    journalMode: row?.journal_mode ?? "unknown",
    jobs: await db.models.jobs.count({ where: { binnedAt: null } }),
    missingSaves: db.missing?.count ?? 0,
  };
}

/** Whether the disk has room; one that does not say so counts as having it. */
const hasRoom = ({ file }: Database): Promise<boolean> =>
  statfs(dirname(file)).then(
    ({ bavail, bsize }) => bavail * bsize >= LEAST_FREE,
    () => true,
  );
