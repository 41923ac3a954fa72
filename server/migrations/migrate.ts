import { mkdir } from "node:fs/promises";
import { join } from "node:path";
import { QueryTypes, type Sequelize } from "sequelize";
import { SequelizeStorage, Umzug } from "umzug";
import { createJobs } from "./001-create-jobs";
import { createShelfDevices } from "./002-create-shelf-devices";
import { createStock } from "./003-create-stock";

/** Append-only: a landed migration is never edited, it gets a successor. */
const MIGRATIONS = [createJobs, createShelfDevices, createStock];

/** Brings the tables to this program's version. Before anything changes in a database that is in use, a copy goes to `backups/`. */
export async function migrate(sequelize: Sequelize, folder: string): Promise<void> {
  const umzug = new Umzug({
    migrations: MIGRATIONS,
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: "migrations" }),
    logger: undefined,
  });
  const [pending, executed] = await Promise.all([umzug.pending(), umzug.executed()]);
  if (pending.length === 0) return;
  const last = executed.at(-1);
  if (last) await backUp(sequelize, folder, `before-${pending[0]?.name ?? "migration"}-after-${last.name}`);
  await umzug.up();
}

async function backUp(sequelize: Sequelize, folder: string, name: string): Promise<void> {
  const backups = join(folder, "backups");
  await mkdir(backups, { recursive: true });
  await sequelize.query("VACUUM INTO :file", { replacements: { file: join(backups, `${name}.sqlite`) }, type: QueryTypes.RAW });
}
