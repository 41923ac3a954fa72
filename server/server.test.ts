import { mkdtemp, readdir } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { QueryTypes } from "sequelize";
import { afterEach, beforeEach, describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { fromShelfOrThrow } from "@/core/device";
import { emptyJob, type Command } from "@/core/job";
import {
  binJob,
  createJob,
  docketPage,
  dropOwnDevice,
  findJob,
  healthOf,
  keepOwnDevice,
  openDatabase,
  ownDevices,
  restoreJob,
  saveJob,
  type Database,
} from "@/server";

const createEmptyJob = (to: Database, name: string) => createJob(to, emptyJob(name), "new");

let folder: string;
let db: Database;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), "octachord-db-"));
  db = await openDatabase(folder);
});
afterEach(() => db.close());

const rename = (name: string): Command => ({ kind: "edit-job", fields: { name } });
const everything = { q: "", phase: null, page: 1 } as const;
const events = () =>
  db.sequelize.query<{ revision: number; event: string }>("SELECT revision, event FROM job_events ORDER BY id", {
    type: QueryTypes.SELECT,
  });

describe("the database", () => {
  test("opens in WAL mode with foreign keys, as often as one likes", async () => {
    const again = await openDatabase(folder);
    expect(await healthOf(again)).toEqual({ status: "ok", journalMode: "wal", jobs: 0, missingSaves: 0 });
    await again.close();
    expect(await readdir(folder)).not.toContain("backups");
  });

  test("keeps a job and gives the same document back", async () => {
    const loft = demoJob("sail-loft");
    const { id } = await createJob(db, loft, "import");
    expect(await findJob(db, id)).toMatchObject({ id, revision: 1, job: loft });
  });
});

describe("a save", () => {
  test("on the newest revision is taken in, and what was done is written down", async () => {
    const { id } = await createEmptyJob(db, "Room");
    const saved = await saveJob(db, id, { revision: 1, commands: [rename("Loft"), rename("Sail Loft")] });
    expect(saved).toMatchObject({ ok: true, value: { revision: 2, job: { name: "Sail Loft" } } });
    expect((await events()).map(({ revision, event }) => [revision, (JSON.parse(event) as { kind: string }).kind])).toEqual([
      [1, "new"],
      [2, "commands"],
    ]);
  });

  test("on an older revision is stale and brings the current job, and nothing is overwritten", async () => {
    const { id } = await createEmptyJob(db, "Room");
    await saveJob(db, id, { revision: 1, commands: [rename("First")] });
    const late = await saveJob(db, id, { revision: 1, commands: [rename("Second")] });
    expect(late).toMatchObject({ ok: false, refusal: { code: "stale", current: { revision: 2, job: { name: "First" } } } });
    expect((await findJob(db, id))?.job.name).toBe("First");
  });

  test("that is sent again because its answer was lost is done once", async () => {
    const { id } = await createEmptyJob(db, "Room");
    const saveId = "0f8fad5b-d9cb-469f-a165-70867728950e";
    const request = { revision: 1, saveId, commands: [rename("Once")] };
    await saveJob(db, id, request);
    expect(await saveJob(db, id, request)).toMatchObject({ ok: true, value: { revision: 2 } });
    expect(await events()).toHaveLength(2);
  });

  test("with an impossible edit changes nothing of it", async () => {
    const { id } = await createEmptyJob(db, "Room");
    const saved = await saveJob(db, id, { revision: 1, commands: [rename("Half"), { kind: "unplug", cable: "none" }] });
    expect(saved).toMatchObject({ ok: false, refusal: { code: "edit-refused" } });
    expect((await findJob(db, id))?.job.name).toBe("Room");
  });

  test("may bring a whole document, which is read like any file", async () => {
    const { id } = await createEmptyJob(db, "Room");
    expect(await saveJob(db, id, { revision: 1, document: { hello: 1 } })).toMatchObject({
      ok: false,
      refusal: { code: "document-refused" },
    });
    expect(await saveJob(db, id, { revision: 1, document: demoJob("flat-4b") })).toMatchObject({
      ok: true,
      value: { job: { name: "Flat 4B" } },
    });
  });

  test("many at once from one revision: one is taken, the others are told", async () => {
    const { id } = await createEmptyJob(db, "Room");
    const answers = await Promise.all(
      Array.from({ length: 8 }, (_, n) => saveJob(db, id, { revision: 1, commands: [rename(`Name ${n}`)] })),
    );
    expect(answers.filter(({ ok }) => ok)).toHaveLength(1);
    expect((await findJob(db, id))?.revision).toBe(2);
  });
});

test("what was written down cannot be changed or taken away", async () => {
  await createEmptyJob(db, "Room");
  const before = await events();
  for (const statement of ["UPDATE job_events SET event = '{}'", "DELETE FROM job_events"]) {
    await expect(db.sequelize.query(statement)).rejects.toHaveProperty("parent.message", expect.stringContaining("append-only"));
  }
  expect(await events()).toEqual(before);
});

describe("the docket", () => {
  test("stands in the order of the visits, those without a day last", async () => {
    for (const name of ["receiver-den", "attic-screen", "flat-4b", "sail-loft"]) await createJob(db, demoJob(name), "import");
    const { jobs, total } = await docketPage(db, everything);
    expect(jobs.map(({ name }) => name)).toEqual(["Flat 4B", "Sail Loft", "Attic Screen", "Receiver Den"]);
    expect(total).toBe(4);
  });

  test("shows the worst arrival of each job", async () => {
    await createJob(db, demoJob("flat-4b"), "import");
    const [line] = (await docketPage(db, everything)).jobs;
    expect(line).toMatchObject({ summary: { rows: 4, whole: 0, worst: { arrival: { verdict: "silent" } } }, missingParts: 0 });
  });

  test("finds jobs by every word, in names, customers, devices, wishes and notes", async () => {
    for (const name of ["flat-4b", "sail-loft"]) await createJob(db, demoJob(name), "import");
    const found = async (q: string) => (await docketPage(db, { ...everything, q })).jobs.map(({ name }) => name);
    expect(await found("odalys")).toEqual(["Flat 4B"]);
    expect(await found("disc player")).toEqual(["Sail Loft"]);
    expect(await found("beam drilling")).toEqual(["Sail Loft"]);
    expect(await found("nothing of the kind")).toEqual([]);
  });

  test("takes signs for what stands between words: none of them asks for anything else", async () => {
    await createJob(db, emptyJob("100% done_now '; DROP TABLE jobs --"), "new");
    await createJob(db, emptyJob("1000 done now"), "new");
    const found = async (q: string) => (await docketPage(db, { ...everything, q })).jobs.length;
    // The beginning of a word finds it, so both begin with 100.
    expect(await found("100%")).toBe(2);
    expect(await found("done_now")).toBe(2);
    expect(await found("'; drop")).toBe(1);
    expect(await found("table%")).toBe(1);
  });

  test("keeps one phase apart", async () => {
    for (const name of ["flat-4b", "sail-loft"]) await createJob(db, demoJob(name), "import");
    expect((await docketPage(db, { ...everything, phase: "survey" })).jobs.map(({ name }) => name)).toEqual(["Flat 4B"]);
  });

  test("a binned job is out of sight and comes back whole", async () => {
    const { id } = await createEmptyJob(db, "Room");
    expect(await binJob(db, id)).toBe(true);
    expect(await findJob(db, id)).toBeNull();
    expect((await docketPage(db, everything)).total).toBe(0);
    expect(await saveJob(db, id, { revision: 1, commands: [rename("Ghost")] })).toMatchObject({
      ok: false,
      refusal: { code: "no-such-job" },
    });
    expect(await restoreJob(db, id)).toBe(true);
    expect((await findJob(db, id))?.job.name).toBe("Room");
    expect(await binJob(db, "00000000-0000-4000-8000-000000000000")).toBe(false);
  });
});

describe("the shelf of one's own devices", () => {
  const bar = fromShelfOrThrow("bar-one-input", { id: "bar", name: "Long bar" });

  test("keeps a device for other jobs, across a restart, by name", async () => {
    await keepOwnDevice(db, bar);
    await keepOwnDevice(db, { ...bar, name: "A short bar" });
    const again = await openDatabase(folder);
    expect((await ownDevices(again)).own.map(({ device }) => device.name)).toEqual(["A short bar", "Long bar"]);
    await again.close();
  });

  test("refuses one whose parts do not hold together, and says where", async () => {
    const broken = { ...bar, presents: [{ rule: "decoders" as const, ports: ["nowhere"], when: [] }] };
    expect(await keepOwnDevice(db, broken)).toMatchObject({ ok: false, refusal: { code: "unknown-terminal", terminal: "nowhere" } });
    expect(await ownDevices(db)).toEqual({ own: [], damaged: [] });
  });

  test("takes one off again, once", async () => {
    const kept = await keepOwnDevice(db, bar);
    if (!kept.ok) throw new Error("refused");
    expect(await dropOwnDevice(db, kept.value.id)).toBe(true);
    expect(await dropOwnDevice(db, kept.value.id)).toBe(false);
  });
});
