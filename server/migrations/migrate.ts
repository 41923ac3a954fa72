import { QueryTypes, Transaction, type Sequelize } from "sequelize";
import { Umzug } from "umzug";
import { backUpFile } from "../backup-file";
import { createJobs } from "./001-create-jobs";
import { createShelfDevices } from "./002-create-shelf-devices";
import { createStock } from "./003-create-stock";
import { documentsApart } from "./004-documents-apart";
import { versions } from "./005-versions";
import { visitEntries } from "./006-visit-entries";
import { entriesByJob } from "./007-entries-by-job";
import type { Migration } from "./migration";

/** Append-only: a landed migration is never changed in what it does, it gets a successor. */
export const MIGRATIONS: readonly Migration[] = [
  createJobs,
  createShelfDevices,
  createStock,
  documentsApart,
  versions,
  visitEntries,
  entriesByJob,
];

/**
 * Brings the tables to this program's version. Each migration is one transaction together with the note that it was made, so that one that
 * is broken off anywhere leaves nothing. Before anything changes in a database that is in use, a copy goes to `backups/`.
 */
export async function migrate(sequelize: Sequelize, folder: string, migrations: readonly Migration[] = MIGRATIONS): Promise<void> {
  await sequelize.query("CREATE TABLE IF NOT EXISTS `migrations` (`name` VARCHAR(255) NOT NULL UNIQUE PRIMARY KEY)");
  const umzug = new Umzug({
    migrations: migrations.map(({ name, up }) => ({
      name,
      up: () =>
        sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, async (transaction) => {
          await up({ tables: sequelize.getQueryInterface(), transaction });
          await sequelize.query("INSERT INTO migrations (name) VALUES (:name)", { replacements: { name }, transaction });
        }),
    })),
    // The note is made by the migration itself, in its own transaction.
    storage: {
      executed: async () =>
        (await sequelize.query<{ name: string }>("SELECT name FROM migrations ORDER BY name", { type: QueryTypes.SELECT })).map(
          ({ name }) => name,
        ),
      logMigration: () => Promise.resolve(),
      unlogMigration: () => Promise.resolve(),
    },
    logger: undefined,
  });
  const [pending, executed] = await Promise.all([umzug.pending(), umzug.executed()]);
  const [next] = pending;
  const last = executed.at(-1);
  if (!next) return;
  if (last) await backUpFile(sequelize, folder, `before-${next.name}-after-${last.name}`);
  await umzug.up();
}
