import { mkdir } from "node:fs/promises";
import { dirname, join, resolve } from "node:path";
import { backupSentence, restoredSentence, restoreRefusal } from "@/core/text";
import { stampOf } from "./backup-file";
import { backUpAll, restoreBackup } from "./backup-service";
import { openDatabase } from "./database";
import { FolderInUse } from "./folder-lock";
import { dataFolder } from "./settings";

// `npm run backup [FILE]` and `npm run restore FILE`.
const [act, given] = process.argv.slice(2);
const folder = dataFolder();

async function backUp(): Promise<string> {
  const file = resolve(given ?? join(process.cwd(), `octachord-backup-${stampOf(new Date())}.zip`));
  await mkdir(dirname(file), { recursive: true });
  const db = await openDatabase(folder);
  try {
    return backupSentence(await backUpAll(db, folder, file));
  } finally {
    await db.close();
  }
}

async function restore(): Promise<string> {
  if (given === undefined) throw new Error("Name the backup to restore: npm run restore -- FILE");
  const restored = await restoreBackup(folder, resolve(given));
  if (!restored.ok) throw new Error(restoreRefusal(given, restored.refusal));
  return restoredSentence(folder, restored.value);
}

try {
  process.stdout.write(`${await (act === "restore" ? restore() : backUp())}\n`);
} catch (error) {
  const words = error instanceof Error ? error.message : String(error);
  process.stderr.write(`octachord: ${error instanceof FolderInUse ? `${words} A restore needs the server stopped.` : words}\n`);
  process.exit(1);
}
