import { mkdtemp } from "node:fs/promises";
import { randomUUID } from "node:crypto";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { unzipSync } from "fflate";
import { afterEach, beforeEach, expect, test } from "vitest";
import { NO_HISTORY } from "@/core/diagnose";
import { VisitEntry, type Job } from "@/core/job";
import { defaultPreferences } from "@/core/preferences";
import { demoJob } from "@/demo/demo-jobs";
import { printOut } from "@/print";
import {
  createJob,
  findJob,
  findPhoto,
  importJob,
  keepEntries,
  keepPhoto,
  openDatabase,
  saveJob,
  withRecord,
  type Database,
} from "@/server";

let db: Database;
const fresh = async () => openDatabase(await mkdtemp(join(tmpdir(), "octachord-package-")));
beforeEach(async () => {
  db = await fresh();
});
afterEach(() => db.close());

/** The smallest PNG: one white pixel. */
const PNG = Buffer.from("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAAAAAA6fptVAAAACklEQVR4nGP4DwABAQEAG7buVgAAAABJRU5ErkJggg==", "base64");

/** The package of a stored job, as the page downloads it. */
async function packageOf(from: Database, id: string): Promise<Uint8Array> {
  const stored = await findJob(from, id);
  if (!stored) throw new Error("no job");
  const job = await withRecord(from, stored);
  const photos = [];
  for (const photo of job.attachments) {
    const found = await findPhoto(from, id, photo.id);
    if (found) photos.push({ photo, bytes: found.bytes });
  }
  const { firm, units } = defaultPreferences();
  const source = { firm, units, paper: "a4", day: "2026-11-27", language: "en", faults: NO_HISTORY, photos } as const;
  return printOut({ print: "package", job, source }, process.cwd());
}

async function jobWithEverything(): Promise<string> {
  const job: Job = demoJob("village-hall");
  const stored = await createJob(db, job, "new");
  const kept = await keepPhoto(db, stored.id, { name: "back.png", device: "receiver", bytes: new Uint8Array(PNG) });
  if (!kept.ok) throw new Error(kept.refusal.code);
  const sentence = { line: "use off", language: "es", agreed: "Apagar.", text: "Un mando lo apaga todo." } as const;
  const saved = await saveJob(db, stored.id, {
    revision: stored.revision,
    saveId: randomUUID(),
    commands: [
      { kind: "attach", attachment: kept.value, at: null },
      { kind: "write-sentence", sentence, at: null },
    ],
  });
  if (!saved.ok) throw new Error(saved.refusal.code);
  const entry = (given: object): VisitEntry =>
    VisitEntry.parse({ id: randomUUID(), step: "photo", state: "done", at: "2026-11-27T10:00:00.000Z", who: "A. Fitter", ...given });
  await keepEntries(db, stored.id, [
    entry({ photos: [kept.value.id] }),
    entry({ step: "event a", event: { event: "promised", due: "2027-01-05" }, note: "the second screen" }),
    entry({ step: "fix", fix: { walk: randomUUID(), step: "found", id: "muted:receiver" } }),
  ]);
  return stored.id;
}

test("exported, wiped, imported and exported again, a package is the same to the byte: document, record, photos, papers", async () => {
  const first = await packageOf(db, await jobWithEverything());
  await db.close();
  // A colleague's empty machine.
  db = await fresh();
  const imported = await importJob(db, first);
  if (!imported.ok) throw new Error(JSON.stringify(imported.refusal));
  expect(imported.value.withoutBytes).toEqual([]);
  const again = await packageOf(db, imported.value.stored.id);
  expect(Object.keys(unzipSync(again))).toEqual(Object.keys(unzipSync(first)));
  for (const [name, bytes] of Object.entries(unzipSync(first)))
    expect(Buffer.compare(bytes, unzipSync(again)[name] ?? new Uint8Array()), name).toBe(0);
  expect(Buffer.compare(first, again)).toBe(0);
});

test("imported beside the job that it came from, its photo gets a name of its own and both keep their picture", async () => {
  const id = await jobWithEverything();
  const imported = await importJob(db, await packageOf(db, id));
  if (!imported.ok) throw new Error(JSON.stringify(imported.refusal));
  const [before, after] = [await findJob(db, id), imported.value.stored];
  const [one, other] = [before?.job.attachments[0], after.job.attachments[0]];
  if (!one || !other) throw new Error("a photo is gone");
  expect(other.id).not.toBe(one.id);
  expect((await findPhoto(db, after.id, other.id))?.bytes).toEqual((await findPhoto(db, id, one.id))?.bytes);
});

test("a package can be read without this program: every file is text, a drawing, a table, a PDF or a picture, and README names each", async () => {
  const files = unzipSync(await packageOf(db, await jobWithEverything()));
  const readme = Buffer.from(files["README.txt"] ?? []).toString("utf8");
  for (const name of Object.keys(files)) {
    expect(name).toMatch(/\.(txt|json|svg|csv|pdf|bin|png|jpeg|webp)$/);
    expect(readme).toContain(name.includes("/") ? `${name.split("/")[0] ?? ""}/` : name);
  }
  expect(Buffer.from(files["tables/cables.csv"] ?? []).subarray(0, 3)).toEqual(Buffer.from([0xef, 0xbb, 0xbf]));
  expect(JSON.parse(Buffer.from(files["job.octachord.json"] ?? []).toString("utf8"))).toMatchObject({ format: "octachord-job" });
});
