import { mkdir } from "node:fs/promises";
import { openDatabase, type Database } from "./database";
import { lockFolder } from "./folder-lock";
import { dataFolder } from "./settings";

interface Opened {
  readonly db: Database;
  readonly release: () => Promise<void>;
}
const store = globalThis as typeof globalThis & { octachordDatabase?: Promise<Opened> };

/** The one database of this process; a failed opening is tried again by the next caller. */
export async function database(): Promise<Database> {
  store.octachordDatabase ??= open(dataFolder()).catch((error: unknown) => {
    delete store.octachordDatabase;
    throw error;
  });
  return (await store.octachordDatabase).db;
}

async function open(folder: string): Promise<Opened> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const release = await lockFolder(folder);
  try {
    return { db: await openDatabase(folder), release };
  } catch (error) {
    await release();
    throw error;
  }
}

/** Ends well: what is being saved is saved, the log is moved into the file, the folder is free. */
export async function closeDatabase(): Promise<void> {
  const opened = await store.octachordDatabase?.catch(() => undefined);
  delete store.octachordDatabase;
  await opened?.db.close();
  await opened?.release();
}
