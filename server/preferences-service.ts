import { defaultPreferences, Preferences } from "@/core/preferences";
import type { Database } from "./database";
import { readStored } from "./stored";

const KEY = "firm";

/** What the firm has set; what was never set, or no longer reads, is as from the factory. */
export async function preferences(db: Database): Promise<Preferences> {
  const row = await db.models.preferences.findByPk(KEY);
  const read = row && readStored(Preferences, row.value);
  return read?.sound ? read.value : defaultPreferences();
}

export async function keepPreferences(db: Database, value: Preferences): Promise<void> {
  await db.transact((transaction) => db.models.preferences.upsert({ key: KEY, value: JSON.stringify(value) }, { transaction }));
}
