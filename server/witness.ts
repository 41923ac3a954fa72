import { readFile, rename, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { QueryTypes, type Sequelize } from "sequelize";
import { z } from "zod";
import { LAST_SAVE_FILE } from "./data-files";
import { readStored } from "./stored";

/**
 * A note beside the database of the last save that was kept. The database and its log can be cut, exchanged or put back from an old copy
 * by something else than this program; the note then knows of saves that the file does not.
 */
const Witness = z.strictObject({ save: z.number().int(), at: z.string() });
const noteOf = (folder: string) => join(folder, LAST_SAVE_FILE);

/** Saves that are missed: of when the last one was that is there, and of when the last that was kept. */
export interface MissingSaves {
  readonly count: number;
  readonly lastHere: string | null;
  readonly lastKept: string;
}

async function lastSave(sequelize: Sequelize): Promise<z.infer<typeof Witness> | null> {
  const [row] = await sequelize.query<{ id: number; at: string }>("SELECT id, at FROM job_events ORDER BY id DESC LIMIT 1", {
    type: QueryTypes.SELECT,
  });
  return row ? { save: row.id, at: row.at } : null;
}

/**
 * Notes the last save, after it was kept; where no save came since the one noted before there is nothing to write. A note that cannot be
 * written is no reason to refuse the save. Gives the save that is noted.
 */
export async function noteSave(sequelize: Sequelize, folder: string, noted: number): Promise<number> {
  const last = await lastSave(sequelize).catch(() => null);
  if (!last || last.save === noted) return noted;
  try {
    await writeFile(`${noteOf(folder)}.new`, JSON.stringify(last), { mode: 0o600 });
    await rename(`${noteOf(folder)}.new`, noteOf(folder));
    return last.save;
  } catch {
    // The disk is full or read-only; what was saved is saved.
    return noted;
  }
}

/** What the note knows and the database does not; null where both agree, or there is no note. */
export async function missingSaves(sequelize: Sequelize, folder: string): Promise<MissingSaves | null> {
  const text = await readFile(noteOf(folder), "utf8").catch(() => null);
  const note = readStored(Witness, text);
  const last = await lastSave(sequelize).catch(() => null);
  if (!note.sound || note.value.save <= (last?.save ?? 0)) return null;
  return { count: note.value.save - (last?.save ?? 0), lastHere: last?.at ?? null, lastKept: note.value.at };
}
