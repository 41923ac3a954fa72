import { mkdir } from "node:fs/promises";
import { join } from "node:path";
import { QueryTypes, type Sequelize } from "sequelize";

/** A moment as part of a name of a file. */
export const stampOf = (at: Date): string => at.toISOString().replace(/[:.]/g, "-");

/** Where copies of the database lie in a data folder. */
export const backupFolder = (folder: string): string => join(folder, "backups");

/** A copy of the database in `backups/` under a name of its own; one that was broken off before is never in the way. Gives its path. */
export async function backUpFile(sequelize: Sequelize, folder: string, name: string, at = new Date()): Promise<string> {
  await mkdir(backupFolder(folder), { recursive: true, mode: 0o700 });
  const file = join(backupFolder(folder), `${name}-${stampOf(at)}-${process.pid}.sqlite`);
  await sequelize.query("VACUUM INTO :file", { replacements: { file }, type: QueryTypes.RAW });
  return file;
}
