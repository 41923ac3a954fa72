import { QueryTypes } from "sequelize";
import type { Database } from "./database";

export interface Health {
  readonly status: "ok";
  readonly journalMode: string;
  readonly jobs: number;
}

/** Asks the database a real question; throws when it does not answer. */
export async function healthOf(db: Database): Promise<Health> {
  const [row] = await db.sequelize.query<{ journal_mode: string }>("PRAGMA journal_mode", { type: QueryTypes.SELECT });
  return { status: "ok", journalMode: row?.journal_mode ?? "unknown", jobs: await db.models.jobs.count({ where: { binnedAt: null } }) };
}
