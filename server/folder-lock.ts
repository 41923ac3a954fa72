import { join } from "node:path";
import sqlite3 from "sqlite3";

/** Another server works on the same folder. */
export class FolderInUse extends Error {
  override readonly name = "FolderInUse";
  constructor(readonly folder: string) {
    super(`Another Octachord is using ${folder}. Stop that one, or give this one its own folder with OCTACHORD_DATA.`);
  }
}

/**
 * Takes a data folder for this process alone. The lock is one of the operating system on a small file, so that it goes with the process
 * however that ends. Gives what releases it.
 */
export function lockFolder(folder: string): Promise<() => Promise<void>> {
  const run = (lock: sqlite3.Database, sql: string) =>
    new Promise<void>((resolve, reject) => lock.exec(sql, (error) => (error ? reject(error) : resolve())));
  return new Promise((resolve, reject) => {
    const lock = new sqlite3.Database(join(folder, "in-use.lock"), (opened) => {
      if (opened) {
        reject(opened);
        return;
      }
      // No journal: nothing is ever written into it.
      run(lock, "PRAGMA journal_mode = OFF; BEGIN EXCLUSIVE").then(
        () => resolve(() => new Promise((closed) => lock.close(() => closed()))),
        (error: Error & { code?: string }) => {
          lock.close();
          reject(error.code === "SQLITE_BUSY" ? new FolderInUse(folder) : error);
        },
      );
    });
  });
}
