import { mkdtemp } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import fc from "fast-check";
import { afterAll, beforeAll, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { spoiled } from "@/demo/spoiled-under-test";
import { createJob, findJob, importJob, keepPhoto, openDatabase, packJob, saveJob, type Database } from "@/server";

/** Tried in every run of the tests, and under `npm run prove`. */
const FILES = process.env.OCTACHORD_PROVE ? 10_000 : 150;
const ZIPS = process.env.OCTACHORD_PROVE ? 2000 : 60;

let db: Database;
beforeAll(async () => {
  db = await openDatabase(await mkdtemp(join(tmpdir(), "octachord-mutated-")));
});
afterAll(() => db.close());

const jobs = ["sail-loft", "flat-4b", "village-hall"].map((name) => demoJob(name));
const PNG = new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1, 2, 3]);

/** Takes bytes in as a job file; what comes of it is a job that opens, or a refusal. Gives whether it came in. */
async function takenIn(bytes: Uint8Array): Promise<boolean> {
  const imported = await importJob(db, bytes);
  if (!imported.ok) return false;
  expect((await findJob(db, imported.value.stored.id))?.revision).toBe(1);
  return true;
}

/** Values that no careful program writes. */
const hostile = fc.oneof(
  fc.constantFrom(null, "", -1, 1e308, Number.MIN_SAFE_INTEGER, [], {}, true, "__proto__", "\u0000", "\ud800", "x".repeat(5000)),
  fc.string({ unit: "binary" }),
  fc.double({ noNaN: true }),
  fc.jsonValue(),
);

test(`of ${FILES} job files in which something is not as it should be, each is refused or makes a job that opens`, async () => {
  const counts = { in: 0, refused: 0 };
  const tried = fc.sample(fc.tuple(fc.nat(2), fc.nat(), hostile, fc.nat(), fc.constantFrom("value", "value", "byte", "cut", "twice")), {
    seed: 16,
    numRuns: FILES,
  });
  for (const [which, place, value, at, how] of tried) {
    const job = jobs[which];
    if (!job) throw new Error("no job");
    const text = JSON.stringify(how === "value" ? spoiled(job, place, value) : job);
    const bytes = Buffer.from(text);
    const where = at % bytes.length;
    if (how === "byte") bytes[where] = place & 255;
    const given = how === "cut" ? bytes.subarray(0, where) : how === "twice" ? Buffer.concat([bytes, bytes.subarray(where)]) : bytes;
    counts[(await takenIn(given)) ? "in" : "refused"] += 1;
  }
  process.stdout.write(`job files: ${counts.in} came in, ${counts.refused} were refused\n`);
  expect(counts.in).toBeGreaterThan(FILES / 50);
  expect(counts.refused).toBeGreaterThan(FILES / 4);
}, 1_800_000);

test(`of ${ZIPS} packages with changed bytes, each is refused or makes a job that opens`, async () => {
  const { id } = await createJob(db, demoJob("sail-loft"), "new");
  const photo = await keepPhoto(db, id, { name: "rack.png", device: null, bytes: PNG });
  if (!photo.ok) throw new Error("no photo");
  await saveJob(db, id, { revision: 1, commands: [{ kind: "attach", attachment: photo.value, at: null }] });
  const stored = await findJob(db, id);
  if (!stored) throw new Error("no job");
  const whole = await packJob(db, stored);
  const counts = { in: 0, refused: 0 };
  const tried = fc.sample(fc.tuple(fc.array(fc.tuple(fc.nat(), fc.nat(255)), { minLength: 1, maxLength: 6 }), fc.boolean(), fc.nat(9)), {
    seed: 17,
    numRuns: ZIPS,
  });
  for (const [changes, inDirectory, cut] of tried) {
    const bytes = whole.slice(0, cut === 0 ? (changes[0]?.[0] ?? 0) % whole.length : whole.length);
    // Half of them in the directory at the end, where names, sizes and places stand.
    const from = inDirectory ? Math.max(0, bytes.length - 400) : 0;
    for (const [at, value] of changes) if (bytes.length) bytes[from + (at % (bytes.length - from))] = value;
    counts[(await takenIn(bytes)) ? "in" : "refused"] += 1;
  }
  process.stdout.write(`packages: ${counts.in} came in, ${counts.refused} were refused\n`);
  expect(counts.refused).toBeGreaterThan(ZIPS / 4);
}, 600_000);
