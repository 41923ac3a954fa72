import { copyFile, mkdtemp, open, readdir, readFile, rm, stat, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { QueryTypes, type Sequelize } from "sequelize";
import { beforeEach, describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { createJob, docketPage, findJob, healthOf, keepPhoto, openDatabase, saveJob, type Database } from "@/server";
import { backUpAll, dailyBackup, keptOf, restoreBackup } from "./backup-service";
import { connect } from "./database";
import { FolderInUse, lockFolder } from "./folder-lock";
import { migrate, MIGRATIONS } from "./migrations/migrate";

let folder: string;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), "octachord-standing-"));
});
const fileIn = (where: string) => join(where, "octachord.sqlite");
const everything = { q: "", phase: null, page: 1 } as const;
const names = async (db: Database) => (await docketPage(db, everything)).jobs.map(({ name }) => name);

/** Makes every query from one on fail, as if the machine stopped there. */
function stopAt(sequelize: Sequelize, query: number): void {
  let count = 0;
  const real = sequelize.query.bind(sequelize) as (...given: unknown[]) => Promise<unknown>;
  sequelize.query = ((...given: unknown[]) => {
    count += 1;
    return count > query ? Promise.reject(new Error("stopped")) : real(...given);
  }) as typeof sequelize.query;
}

/** A job as a program of some version of the tables kept it. */
async function insertOld(sequelize: Sequelize, version: number): Promise<void> {
  const columns = ["id", "name", "customer", "phase", "revision", "created_at", "updated_at"];
  const values = ["'a'", "'Old'", "''", "'survey'", "1", "''", "''"];
  const inJobs = version < 4 ? { columns: ["search_text", "document"], values: ["'Caf\u00e9 old'", "'{}'"] } : { columns: [], values: [] };
  await sequelize.query(`INSERT INTO jobs (${[...columns, ...inJobs.columns].join()}) VALUES (${[...values, ...inJobs.values].join()})`);
  if (version < 4) return;
  await sequelize.query("INSERT INTO job_documents (job_id, document) VALUES ('a', '{}')");
  await sequelize.query("INSERT INTO job_words (job_id, words) VALUES ('a', 'cafe old')");
}

describe("a first start or an upgrade that is broken off", () => {
  test("leaves nothing that keeps the next one from going on, wherever it stops", async () => {
    let stopped = 0;
    for (let query = 1; query < 60; query += 1) {
      folder = await mkdtemp(join(tmpdir(), "octachord-stop-"));
      const sequelize = connect(fileIn(folder));
      stopAt(sequelize, query);
      const isDone = await migrate(sequelize, folder).then(
        () => true,
        () => false,
      );
      await sequelize.close();
      if (!isDone) stopped += 1;
      const db = await openDatabase(folder);
      const { id } = await createJob(db, demoJob("flat-4b"), "new");
      expect((await findJob(db, id))?.job.name).toBe("Flat 4B");
      await db.close();
      await rm(folder, { recursive: true });
      if (isDone) break;
    }
    expect(stopped).toBeGreaterThan(10);
  });

  test("each migration is made whole or not at all, from every earlier version, with jobs in it", async () => {
    for (let from = 1; from < MIGRATIONS.length; from += 1)
      for (let query = 1; query < 60; query += 3) {
        folder = await mkdtemp(join(tmpdir(), "octachord-upgrade-"));
        const before = connect(fileIn(folder));
        await migrate(before, folder, MIGRATIONS.slice(0, from));
        await insertOld(before, from);
        await before.close();
        const sequelize = connect(fileIn(folder));
        stopAt(sequelize, query);
        const isDone = await migrate(sequelize, folder).then(
          () => true,
          () => false,
        );
        await sequelize.close();
        const db = await openDatabase(folder);
        expect(await names(db)).toEqual(["Old"]);
        expect((await docketPage(db, { ...everything, q: "cafe" })).total).toBe(1);
        expect(await db.models.jobDocuments.count()).toBe(1);
        await db.close();
        await rm(folder, { recursive: true });
        // Whatever is later it does not reach any more.
        if (isDone) break;
      }
  });

  test("of an older program, with tables and no note of them, is set aside, and a new one is begun", async () => {
    const half = connect(fileIn(folder));
    await half.query("CREATE TABLE jobs (id TEXT PRIMARY KEY)");
    await half.close();
    const db = await openDatabase(folder);
    expect(await names(db)).toEqual([]);
    expect((await readdir(folder)).some((name) => name.startsWith("broken-off-"))).toBe(true);
    await db.close();
  });
});

describe("stopping", () => {
  test("moves the log into the file: the file alone holds every save", async () => {
    const db = await openDatabase(folder);
    await createJob(db, demoJob("sail-loft"), "new");
    await db.close();
    const other = await mkdtemp(join(tmpdir(), "octachord-alone-"));
    await copyFile(fileIn(folder), fileIn(other));
    const alone = await openDatabase(other);
    expect(await names(alone)).toEqual(["Sail Loft"]);
    await alone.close();
  });

  test("a folder is one server's alone, and free when that has gone", async () => {
    const release = await lockFolder(folder);
    await expect(lockFolder(folder)).rejects.toThrow(FolderInUse);
    await release();
    await (
      await lockFolder(folder)
    )();
  });
});

describe("a database that something else than this program changed", () => {
  test("put back from an older copy is told, with the moments", async () => {
    const db = await openDatabase(folder);
    const { id } = await createJob(db, demoJob("sail-loft"), "new");
    await db.close();
    const older = await readFile(fileIn(folder));
    const again = await openDatabase(folder);
    for (const revision of [1, 2])
      await saveJob(again, id, { revision, commands: [{ kind: "edit-job", fields: { name: `N${revision}` } }] });
    await again.close();
    await writeFile(fileIn(folder), older);
    const old = await openDatabase(folder);
    expect(old.missing).toMatchObject({ count: 2 });
    expect(await healthOf(old)).toMatchObject({ missingSaves: 2 });
    await old.close();
  });

  test("with the log cut off while it held saves is told", async () => {
    const db = await openDatabase(folder);
    const { id } = await createJob(db, demoJob("sail-loft"), "new");
    await db.sequelize.query("PRAGMA wal_checkpoint(TRUNCATE)");
    await saveJob(db, id, { revision: 1, commands: [{ kind: "edit-job", fields: { name: "Kept in the log alone" } }] });
    const other = await mkdtemp(join(tmpdir(), "octachord-cut-"));
    await copyFile(fileIn(folder), fileIn(other));
    await copyFile(join(folder, "last-save.json"), join(other, "last-save.json"));
    await db.close();
    const cut = await openDatabase(other);
    expect(cut.missing?.count).toBe(1);
    expect(await names(cut)).toEqual(["Sail Loft"]);
    await cut.close();
  });

  test("with damaged pages still lists every job whose row reads", async () => {
    const db = await openDatabase(folder);
    for (const name of ["sail-loft", "flat-4b", "receiver-den", "attic-screen", "village-hall"]) await createJob(db, demoJob(name), "new");
    const [index] = await db.sequelize.query<{ rootpage: number }>(
      "SELECT rootpage FROM sqlite_master WHERE name = 'jobs_binned_at_visit_on'",
      {
        type: QueryTypes.SELECT,
      },
    );
    await db.close();
    const file = await open(fileIn(folder), "r+");
    await file.write(Buffer.alloc(4096, 0xa5), 0, 4096, ((index?.rootpage ?? 2) - 1) * 4096);
    await file.close();
    const damaged = await openDatabase(folder);
    expect(damaged.damage.length).toBeGreaterThan(0);
    expect((await names(damaged)).length).toBe(5);
    expect((await healthOf(damaged).catch(() => ({ status: "damaged" }))).status).toBe("damaged");
    await damaged.sequelize.close();
  });
});

describe("backup and restore", () => {
  const PNG = new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);

  async function filled(): Promise<{ readonly db: Database; readonly id: string }> {
    const db = await openDatabase(folder);
    const { id } = await createJob(db, demoJob("sail-loft"), "new");
    await keepPhoto(db, id, { name: "back.png", device: null, bytes: PNG });
    return { db, id };
  }

  test("everything comes back on an empty machine, and what it replaces is kept", async () => {
    const { db, id } = await filled();
    const backup = await backUpAll(db, folder, join(folder, "all.zip"));
    expect(backup).toMatchObject({ photos: 1 });
    await saveJob(db, id, { revision: 1, commands: [{ kind: "edit-job", fields: { name: "After the backup" } }] });
    await db.close();
    const empty = await mkdtemp(join(tmpdir(), "octachord-empty-"));
    expect(await restoreBackup(empty, backup.file)).toMatchObject({ ok: true, value: { jobs: 1, photos: 1, replaced: null } });
    const restored = await openDatabase(empty);
    expect((await findJob(restored, id))?.job).toEqual(demoJob("sail-loft"));
    expect(restored.missing).toBeNull();
    await restored.close();
    const over = await restoreBackup(folder, backup.file);
    if (!over.ok) throw new Error("refused");
    expect(await readdir(folder)).toContain(over.value.replaced);
    const back = await openDatabase(folder);
    expect(await names(back)).toEqual(["Sail Loft"]);
    await back.close();
  });

  test("a file that was cut off, or whose contents changed, is refused before anything is touched", async () => {
    const { db } = await filled();
    const { file, bytes } = await backUpAll(db, folder, join(folder, "all.zip"));
    await db.close();
    const whole = await readFile(file);
    const before = await readFile(fileIn(folder));
    let refusals = 0;
    for (let at = 40; at < bytes; at += Math.floor(bytes / 25)) {
      const spoiled = Buffer.from(whole);
      spoiled[at] = (spoiled[at] ?? 0) ^ 0xff;
      await writeFile(file, spoiled);
      // Bytes between the files, such as their dates, say nothing of the contents; then what comes back is what was backed up.
      const elsewhere = await mkdtemp(join(tmpdir(), "octachord-spoiled-"));
      const restored = await restoreBackup(elsewhere, file);
      if (restored.ok) expect(restored.value).toMatchObject({ jobs: 1, photos: 1 });
      else if (at > bytes / 2) refusals += 1;
      await writeFile(file, whole.subarray(0, at));
      expect((await restoreBackup(folder, file)).ok).toBe(false);
    }
    expect(refusals).toBeGreaterThan(8);
    expect(await readFile(fileIn(folder))).toEqual(before);
  });

  test("a copy a day: seven days and the first of six months are kept", async () => {
    const { db } = await filled();
    for (const day of ["2026-11-25", "2026-11-25", "2026-11-26"]) await dailyBackup(db, folder, new Date(`${day}T08:00:00Z`));
    expect((await readdir(join(folder, "backups"))).map((name) => name.slice(0, 14)).toSorted()).toEqual([
      "day-2026-11-25",
      "day-2026-11-26",
    ]);
    const daily = Array.from({ length: 300 }, (_, index) => new Date(Date.UTC(2026, 0, 1 + index)).toISOString().slice(0, 10));
    const kept = [...keptOf(daily.map((day) => `day-${day}-x.sqlite`))].map((name) => name.slice(4, 14)).toSorted();
    expect(kept).toEqual(
      ["2026-05-01", "2026-06-01", "2026-07-01", "2026-08-01", "2026-09-01", "2026-10-01", ...daily.slice(-7)].toSorted(),
    );
    await db.close();
  });
});

test("the folder and what lies in it are the owner's alone", async () => {
  const own = join(folder, "data");
  const db = await openDatabase(own);
  await createJob(db, demoJob("sail-loft"), "new");
  await db.close();
  expect((await stat(own)).mode & 0o777).toBe(0o700);
  for (const name of ["octachord.sqlite", "last-save.json"]) expect((await stat(join(own, name))).mode & 0o777).toBe(0o600);
});
