import { chmod, mkdir, readdir, rename } from "node:fs/promises";
import { join } from "node:path";
import { QueryTypes, Sequelize, Transaction } from "sequelize";
import sqlite3 from "sqlite3";
import { stampOf } from "./backup-file";
import { DATABASE_FILE } from "./data-files";
import { migrate } from "./migrations/migrate";
import { defineModels, type Models } from "./models/models";
import { missingSaves, noteSave, type MissingSaves } from "./witness";

/** An open database whose tables are of this program's version. */
export interface Database {
  readonly sequelize: Sequelize;
  readonly models: Models;
  readonly file: string;
  /** What is wrong with the file, as SQLite tells it; empty where it is sound. */
  readonly damage: readonly string[];
  /** Saves that were answered and are not in the file: part of it was lost outside of this program. Null where none is missed. */
  readonly missing: MissingSaves | null;
  /** Runs work alone, in one transaction: all of it is kept or none. */
  transact<Result>(work: (transaction: Transaction) => Promise<Result>): Promise<Result>;
  /** Waits for what is being done, moves the log into the file and closes it. */
  close(): Promise<void>;
}

/** Opens, and where needed creates and migrates, the database in a folder. Safe to repeat. */
export async function openDatabase(folder: string): Promise<Database> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const file = join(folder, DATABASE_FILE);
  const sequelize = await openAndMigrate(file, folder);
  await chmod(file, 0o600);
  const models = defineModels(sequelize);
  const damage = await structureOf(sequelize);
  const missing = await missingSaves(sequelize, folder);

  // One writer at a time: SQLite has one write lock, and waiting here in line is kinder than meeting it busy.
  let line: Promise<unknown> = Promise.resolve();
  let noted = 0;
  const transact = <Result>(work: (transaction: Transaction) => Promise<Result>): Promise<Result> => {
    const turn = line.then(async () => {
      const result = await sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, async (transaction) => {
        await prepareConnection(sequelize, transaction);
        return work(transaction);
      });
      noted = await noteSave(sequelize, folder, noted);
      return result;
    });
    line = turn.catch(() => undefined);
    return turn;
  };
  const close = async (): Promise<void> => {
    await line;
    await sequelize.query("PRAGMA wal_checkpoint(TRUNCATE)").catch(() => undefined);
    await sequelize.close();
  };
  return { sequelize, models, file, damage, missing, transact, close };
}

/** A connection to a database file, whose tables may be of any version. */
export const connect = (file: string): Sequelize =>
  new Sequelize({ dialect: "sqlite", dialectModule: sqlite3, storage: file, logging: false });

async function openAndMigrate(file: string, folder: string): Promise<Sequelize> {
  const sequelize = connect(file);
  try {
    await sequelize.query("PRAGMA journal_mode = WAL");
    await prepareConnection(sequelize);
    await migrate(sequelize, folder);
    return sequelize;
  } catch (error) {
    const isHalfMade = await isWithoutJobs(sequelize);
    await sequelize.close().catch(() => undefined);
    if (!isHalfMade) throw error;
    // A first start of an older program that was broken off: nothing was ever kept in it, so it is moved aside and started again.
    await layAside(folder, "broken-off");
    return openAndMigrate(file, folder);
  }
}

/** Whether a database was begun and holds nothing yet: its first migration is not noted, and no job is in it. */
async function isWithoutJobs(sequelize: Sequelize): Promise<boolean> {
  const count = async (from: string): Promise<number> => {
    const [row] = await sequelize.query<{ count: number }>(`SELECT count(*) AS count FROM ${from}`, { type: QueryTypes.SELECT });
    return row?.count ?? 0;
  };
  try {
    if ((await count("sqlite_master WHERE name = 'migrations'")) > 0 && (await count("migrations")) > 0) return false;
    const hasJobs = (await count("sqlite_master WHERE name = 'jobs'")) > 0;
    return (await count("sqlite_master")) > 0 && (!hasJobs || (await count("jobs")) === 0);
  } catch {
    return false;
  }
}

/** Moves the database and its logs to names of their own beside it; nothing is deleted. */
export async function layAside(folder: string, why: string, at = new Date()): Promise<void> {
  for (const name of await readdir(folder))
    if ([DATABASE_FILE, `${DATABASE_FILE}-wal`, `${DATABASE_FILE}-shm`].includes(name))
      await rename(join(folder, name), join(folder, name.replace(DATABASE_FILE, `${why}-${stampOf(at)}.sqlite`)));
}

/** What SQLite finds wrong in the structure of the file. Source: sqlite.org/pragma.html#pragma_quick_check. */
export async function structureOf(sequelize: Sequelize): Promise<readonly string[]> {
  const rows = await sequelize.query<{ quick_check: string }>("PRAGMA quick_check(20)", { type: QueryTypes.SELECT });
  return rows.map((row) => row.quick_check).filter((words) => words !== "ok");
}

/** These pragmas belong to a connection, and each transaction has one of its own. */
async function prepareConnection(sequelize: Sequelize, transaction?: Transaction): Promise<void> {
  const options = transaction ? { transaction } : {};
  await sequelize.query("PRAGMA busy_timeout = 5000", options);
  await sequelize.query("PRAGMA foreign_keys = ON", options);
  // What is replaced or deleted is overwritten, so that an erased customer is in no page that was given free. Source: sqlite.org/pragma.html#pragma_secure_delete.
  await sequelize.query("PRAGMA secure_delete = ON", options);
}
