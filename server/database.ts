import { mkdir } from "node:fs/promises";
import { join } from "node:path";
import { Sequelize, Transaction } from "sequelize";
import sqlite3 from "sqlite3";
import { migrate } from "./migrations/migrate";
import { defineModels, type Models } from "./models/models";

/** An open database whose tables are of this program's version. */
export interface Database {
  readonly sequelize: Sequelize;
  readonly models: Models;
  readonly file: string;
  /** Runs work alone, in one transaction: all of it is kept or none. */
  transact<Result>(work: (transaction: Transaction) => Promise<Result>): Promise<Result>;
  close(): Promise<void>;
}

/** Opens, and where needed creates and migrates, the database in a folder. Safe to repeat. */
export async function openDatabase(folder: string): Promise<Database> {
  await mkdir(folder, { recursive: true });
  const file = join(folder, "octachord.sqlite");
  const sequelize = new Sequelize({ dialect: "sqlite", dialectModule: sqlite3, storage: file, logging: false });
  await sequelize.query("PRAGMA journal_mode = WAL");
  await prepareConnection(sequelize);
  await migrate(sequelize, folder);
  const models = defineModels(sequelize);

  // One writer at a time: SQLite has one write lock, and waiting here in line is kinder than meeting it busy.
  let line: Promise<unknown> = Promise.resolve();
  const transact = <Result>(work: (transaction: Transaction) => Promise<Result>): Promise<Result> => {
    const turn = line.then(() =>
      sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, async (transaction) => {
        await prepareConnection(sequelize, transaction);
        return work(transaction);
      }),
    );
    line = turn.catch(() => undefined);
    return turn;
  };
  return { sequelize, models, file, transact, close: () => sequelize.close() };
}

/** These pragmas belong to a connection, and each transaction has one of its own. */
async function prepareConnection(sequelize: Sequelize, transaction?: Transaction): Promise<void> {
  const options = transaction ? { transaction } : {};
  await sequelize.query("PRAGMA busy_timeout = 5000", options);
  await sequelize.query("PRAGMA foreign_keys = ON", options);
}
