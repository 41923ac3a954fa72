import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, beforeEach, describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { backUpAll } from "./backup-service";
import {
  createJob,
  docketPage,
  findJob,
  healthOf,
  importJob,
  keepPhoto,
  openDatabase,
  saveJob,
  storageTrouble,
  type Database,
} from "@/server";

const MEGABYTES = 6;

/** A file system of its own, as large as a few jobs; false where this machine does not let one be made. */
function mounted(folder: string): boolean {
  return process.platform === "linux" && spawnSync("mount", ["-t", "tmpfs", "-o", `size=${MEGABYTES}m`, "tmpfs", folder]).status === 0;
}
const probe = mkdtempSync(join(tmpdir(), "octachord-disk-probe-"));
const allowed = mounted(probe);
if (allowed) spawnSync("umount", [probe]);

let folder: string;
let db: Database;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), "octachord-disk-"));
  mounted(folder);
  db = await openDatabase(folder);
});
afterEach(async () => {
  spawnSync("mount", ["-o", "remount,rw", folder]);
  await db.close().catch(() => undefined);
  spawnSync("umount", ["-l", folder]);
});

/** Fills what is left of the disk, but for so many bytes. */
function fill(left: number): string {
  const free = Number(spawnSync("df", ["--output=avail", "-B1", folder]).stdout.toString().split("\n")[1]);
  const file = join(folder, "ballast");
  writeFileSync(file, Buffer.alloc(Math.max(0, free - left)));
  return file;
}

const everything = { q: "", phase: null, page: 1 } as const;
const failure = (work: Promise<unknown>): Promise<unknown> =>
  work.then(
    () => null,
    (error: unknown) => error,
  );

describe.runIf(allowed)("a disk of a few megabytes", () => {
  test("that fills up refuses with the reason, loses nothing that was answered, and takes saves again when there is room", async () => {
    const { id } = await createJob(db, demoJob("sail-loft"), "new");
    const ballast = fill(300_000);
    let kept = 1;
    let error: unknown = null;
    while (error === null && kept < 5000) {
      const saved = await saveJob(db, id, { revision: kept, commands: [{ kind: "edit-job", fields: { name: `N${kept}` } }] }).catch(
        (thrown: unknown) => {
          error = thrown;
          return null;
        },
      );
      if (saved?.ok) kept = saved.value.revision;
    }
    expect(storageTrouble(error)).toMatchObject({ status: 507, title: "Disk full" });
    expect((await findJob(db, id))?.revision).toBe(kept);
    expect(await healthOf(db)).toMatchObject({ status: "disk-full" });
    const photo = await failure(keepPhoto(db, id, { name: "a.png", device: null, bytes: png(400_000) }));
    expect(storageTrouble(photo)?.status).toBe(507);
    expect(storageTrouble(await failure(importJob(db, Buffer.from(JSON.stringify(demoJob("village-hall"))))))?.status).toBe(507);

    rmSync(ballast);
    expect(await healthOf(db)).toMatchObject({ status: "ok" });
    expect(await saveJob(db, id, { revision: kept, commands: [{ kind: "edit-job", fields: { name: "Room again" } }] })).toMatchObject({
      ok: true,
    });
    await db.close();
    db = await openDatabase(folder);
    expect(db.damage).toEqual([]);
    expect((await docketPage(db, everything)).jobs.map(({ name }) => name)).toEqual(["Room again"]);
    expect((await findJob(db, id))?.revision).toBe(kept + 1);
  });

  test("has no room for a backup: that is said, and no half of one is left", async () => {
    await createJob(db, demoJob("sail-loft"), "new");
    fill(100_000);
    const error = await failure(backUpAll(db, folder, join(folder, "backup.zip")));
    expect(storageTrouble(error)?.title ?? String(error)).toMatch(/Disk full|ENOSPC|full/);
    const { readdirSync } = await import("node:fs");
    expect(readdirSync(folder).filter((name) => name.startsWith("backup.zip"))).toEqual([]);
  });

  test("that can only be read is told at the start, and nothing of it is changed; writable again it is all there", async () => {
    const { id } = await createJob(db, demoJob("sail-loft"), "new");
    await db.close();
    expect(spawnSync("mount", ["-o", "remount,ro", folder]).status).toBe(0);
    expect(storageTrouble(await failure(openDatabase(folder)))).toMatchObject({ status: 503, title: "Read-only" });
    expect(spawnSync("mount", ["-o", "remount,rw", folder]).status).toBe(0);
    db = await openDatabase(folder);
    expect((await findJob(db, id))?.job.name).toBe("Sail Loft");
  });
});

/** A photo of so many bytes. */
function png(bytes: number): Uint8Array {
  const found = new Uint8Array(bytes);
  found.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  return found;
}
