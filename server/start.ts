import { openAccess } from "./access";
import { dropRemovedPhotos, sweepFiles } from "./attachment-store";
import { dailyBackup } from "./backup-service";
import { emptyBin } from "./erase-service";
import { FolderInUse } from "./folder-lock";
import { closeDatabase, database } from "./open";
import { dataFolder } from "./settings";
import { storageTrouble } from "./storage-trouble";

const say = (words: string) => process.stderr.write(`octachord: ${words}\n`);

/**
 * Opens the database before the first request, so that what is wrong with it shows at once, and closes it properly at the end. A folder in
 * use by another server, or one that cannot be written, ends the start with a sentence.
 */
export async function startKeeping(): Promise<void> {
  try {
    const { damage, missing } = await database();
    await openAccess(dataFolder());
    if (damage.length) say(`the database in ${dataFolder()} is damaged (${damage[0] ?? ""}); what reads is served. Make a backup now.`);
    if (!damage.length) keepDaily();
    if (missing) say(`the last saves before ${missing.lastKept} may be missing; the newest here is of ${missing.lastHere ?? "none"}.`);
  } catch (error) {
    say(
      error instanceof FolderInUse
        ? error.message
        : `the database in ${dataFolder()} does not open: ${storageTrouble(error)?.detail ?? words(error)}`,
    );
    process.exit(1);
  }
  if (process.env.NEXT_MANUAL_SIG_HANDLE !== "true") return;
  for (const signal of ["SIGINT", "SIGTERM"] as const)
    process.once(signal, () => {
      void closeDatabase().finally(() => process.exit(0));
    });
}

const HOUR_MS = 3_600_000;

/** A copy a day, looked for every hour; one that cannot be made is logged and keeps nobody from working. */
function keepDaily(): void {
  const keep = () =>
    database()
      .then(async (db) => {
        await dailyBackup(db, dataFolder());
        await emptyBin(db);
        await dropRemovedPhotos(db);
        await sweepFiles(db);
      })
      .catch((error: unknown) =>
        say(
          `today’s copy of the database, the emptying of the bin, or the sweeping of files that nothing names did not succeed: ${words(error)}`,
        ),
      );
  void keep();
  setInterval(() => void keep(), HOUR_MS).unref();
}

const words = (error: unknown): string => (error instanceof Error ? error.message : String(error));
