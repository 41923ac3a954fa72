import { defaultPreferences, Preferences } from "@/core/preferences";
import { STORED_VERSION } from "@/core/versions";
import type { Database } from "./database";
import { readKept } from "./stored";

const KEY = "firm";

/** What the firm has set; what was never set, or no longer reads, is as from the factory. */
export async function preferences(db: Database): Promise<Preferences> {
  const row = await db.models.preferences.findByPk(KEY);
  const read = row && readKept("preferences", Preferences, { version: row.version, text: row.value });
  return read?.sound ? read.value : defaultPreferences();
}

export async function keepPreferences(db: Database, value: Preferences): Promise<void> {
  await db.transact((transaction) =>
    db.models.preferences.upsert({ key: KEY, value: JSON.stringify(value), version: STORED_VERSION }, { transaction }),
  );
}
