import { openDatabase, type Database } from "./database";
import { dataFolder } from "./settings";

const store = globalThis as typeof globalThis & { octachordDatabase?: Promise<Database> };

/** The one database of this process; a failed opening is tried again by the next caller. */
export function database(): Promise<Database> {
  store.octachordDatabase ??= openDatabase(dataFolder()).catch((error: unknown) => {
    delete store.octachordDatabase;
    throw error;
  });
  return store.octachordDatabase;
}
