import { QueryTypes } from "sequelize";
import type { Database } from "./database";

export interface Health {
  /** The file is sound, or reads in parts. */
  readonly status: "ok" | "damaged";
  readonly journalMode: string;
  readonly jobs: number;
  /** Saves that were kept once and are not in the file. */
  readonly missingSaves: number;
}

/** Asks the database a real question; throws when it does not answer. */
export async function healthOf(db: Database): Promise<Health> {
  const [row] = await db.sequelize.query<{ journal_mode: string }>("PRAGMA journal_mode", { type: QueryTypes.SELECT });
  return {
    status: db.damage.length ? "damaged" : "ok",
    journalMode: row?.journal_mode ?? "unknown",
    jobs: await db.models.jobs.count({ where: { binnedAt: null } }),
    missingSaves: db.missing?.count ?? 0,
  };
}
