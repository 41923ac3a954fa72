import { mkdtemp } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { randomUUID } from "node:crypto";
import { afterEach, beforeEach, expect, test } from "vitest";
import { fromShelfOrThrow } from "@/core/device";
import { replaceDevice, type Job } from "@/core/job";
import { demoJobWithHistory } from "@/demo/demo-history";
import { demoJob } from "@/demo/demo-jobs";
import { binJob, createJob, dueUntil, figuresOf, openDatabase, saveJob, visitRecord, type Database } from "@/server";

let db: Database;
beforeEach(async () => {
  db = await openDatabase(await mkdtemp(join(tmpdir(), "octachord-figures-")));
});
afterEach(() => db.close());

test("what is due comes from all jobs until a day, the longest overdue first; a job in the bin is due for nothing", async () => {
  const den = await createJob(db, demoJobWithHistory("receiver-den"), "import");
  await createJob(db, demoJobWithHistory("attic-screen"), "import");
  await createJob(db, demoJob("flat-4b"), "import");
  expect((await dueUntil(db, "2026-12-31")).map(({ name, on, kind }) => [name, on, kind])).toEqual([
    ["Receiver Den", "2026-11-18", "firmware"],
    ["Attic Screen", "2026-12-10", "promised"],
  ]);
  expect(await dueUntil(db, "2026-11-17")).toEqual([]);
  await binJob(db, den.id);
  expect((await dueUntil(db, "2026-12-31")).map(({ name }) => name)).toEqual(["Attic Screen"]);
});

test("figures are counted from the jobs of the docket alone", async () => {
  await createJob(db, demoJobWithHistory("receiver-den"), "import");
  const hall = await createJob(db, demoJobWithHistory("village-hall"), "import");
  const { figures } = await figuresOf(db);
  expect(figures.visits.map(({ name, planned, taken }) => [name, planned, taken])).toEqual([
    ["Receiver Den", 150, 172],
    ["Receiver Den", 30, 22],
    ["Village Hall film night", 60, 85],
  ]);
  expect(figures.faults).toHaveLength(2);
  expect(figures.proof.otherwise).toBe(2);
  await binJob(db, hall.id);
  expect((await figuresOf(db)).figures.visits).toHaveLength(2);
});

test("two receivers of one class that stayed on are what recurs", async () => {
  for (let count = 0; count < 2; count += 1) await createJob(db, demoJobWithHistory("receiver-den"), "import");
  const { recurring } = await figuresOf(db);
  expect(recurring.find(({ archetype }) => archetype === "receiver-72")).toMatchObject({
    devices: 2,
    troubles: [{ trouble: { of: "miss", miss: "still-on" }, devices: 2 }],
  });
});

test("a device that is replaced on a visit keeps its history in the record", async () => {
  const job: Job = { ...demoJob("sail-loft"), phase: "visit" };
  const stored = await createJob(db, job, "new");
  const command = replaceDevice(job, "bar", fromShelfOrThrow("bar-arc-optical", { id: "x", name: "Smaller bar" }));
  const saved = await saveJob(db, stored.id, { revision: 1, saveId: randomUUID(), commands: [command] });
  expect(saved.ok).toBe(true);
  expect((await visitRecord(db, stored.id)).map(({ event }) => event)).toMatchObject([
    { event: "replaced", device: "bar", name: "Bar", became: "Smaller bar" },
  ]);
});
