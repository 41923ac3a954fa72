import { mkdtemp, readdir } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, beforeEach, describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { made } from "@/demo/room-under-test";
import { fromShelfOrThrow } from "@/core/device";
import { emptyJob, typedWords, type Job } from "@/core/job";
import { defaultPreferences } from "@/core/preferences";
import {
  addStock,
  adjustStock,
  binJob,
  changeOwnDevice,
  changeStock,
  copyJob,
  createJob,
  damagedJob,
  docketPage,
  dropStock,
  findJob,
  findPhoto,
  fitParts,
  importJob,
  jobParts,
  keepOwnDevice,
  keepPhoto,
  keepPreferences,
  openDatabase,
  ownDevices,
  packJob,
  preferences,
  saveJob,
  startJob,
  stockItems,
  type Database,
} from "@/server";

let folder: string;
let db: Database;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), "octachord-db-"));
  db = await openDatabase(folder);
});
afterEach(() => db.close());

const everything = { q: "", phase: null, page: 1 } as const;
/** The smallest bytes that begin as a PNG does. */
const PNG = new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1, 2, 3]);
const cable = (lengthM: number, count: number, minimum = 0) =>
  ({ what: { kind: "cable", class: "ultra-high-speed", lengthM }, count, minimum, price: null }) as const;
const loftFromVan = (): Job =>
  made(demoJob("sail-loft"), {
    kind: "edit-cable",
    cable: "streamer-tv",
    fields: { class: "ultra-high-speed", lengthM: 1.5, supply: "van" },
  });

describe("the van", () => {
  test("sets the shortest cable that is long enough aside, the next visit first, and says what is missing", async () => {
    await addStock(db, cable(5, 1));
    const two = await addStock(db, cable(2, 1));
    const late = await createJob(db, { ...loftFromVan(), name: "Late", visitOn: "2027-01-02" }, "new");
    const soon = await createJob(db, { ...loftFromVan(), name: "Soon", visitOn: "2026-12-01" }, "new");
    const third = await createJob(db, { ...loftFromVan(), name: "Third", visitOn: null }, "new");
    const parts = await jobParts(db);
    expect(parts.map(({ name }) => name)).toEqual(["Soon", "Late", "Third"]);
    expect(parts[0]?.reserved).toMatchObject([{ item: two.id }]);
    expect(parts[2]?.missing).toHaveLength(1);
    const lines = (await docketPage(db, everything)).jobs;
    expect(lines.map(({ id, missingParts }) => [id, missingParts])).toEqual([
      [soon.id, 0],
      [late.id, 0],
      [third.id, 1],
    ]);
  });

  test("fitted parts leave the list and stand in the job as there; missing ones leave both as they were", async () => {
    const item = await addStock(db, cable(2, 1));
    const { id } = await createJob(db, loftFromVan(), "new");
    expect(await fitParts(db, id)).toMatchObject({ ok: true, value: { revision: 2, fitted: 1 } });
    expect(await stockItems(db)).toMatchObject([{ id: item.id, count: 0 }]);
    expect((await findJob(db, id))?.job.cables.find((row) => row.id === "streamer-tv")?.supply).toBe("there");
    const other = await createJob(db, loftFromVan(), "new");
    expect(await fitParts(db, other.id)).toMatchObject({ ok: false, refusal: { code: "missing" } });
    expect((await findJob(db, other.id))?.revision).toBe(1);
  });

  test("two windows that count the same line at once lose nothing of each other", async () => {
    const { id } = await addStock(db, { what: { kind: "spare", name: "Hook-and-loop straps" }, count: 20, minimum: 5, price: 0.5 });
    await Promise.all([adjustStock(db, id, { countBy: -3 }), adjustStock(db, id, { countBy: 10, minimum: 8 })]);
    expect(await stockItems(db)).toMatchObject([{ count: 27, minimum: 8 }]);
    await adjustStock(db, id, { countBy: -100 });
    expect(await stockItems(db)).toMatchObject([{ count: 0 }]);
    expect(await adjustStock(db, crypto.randomUUID(), { countBy: 1 })).toBe(false);
  });

  test("lines are changed and taken off", async () => {
    const { id } = await addStock(db, { what: { kind: "spare", name: "Hook-and-loop straps" }, count: 20, minimum: 5, price: 0.5 });
    expect(await changeStock(db, id, { what: { kind: "spare", name: "Hook-and-loop straps" }, count: 3, minimum: 5, price: 0.5 })).toBe(
      true,
    );
    expect(await stockItems(db)).toMatchObject([{ count: 3 }]);
    expect(await dropStock(db, id)).toBe(true);
    expect(await changeStock(db, id, cable(1, 1))).toBe(false);
  });
});

describe("photos", () => {
  test("are kept in the data folder, go out with the job and come in with it", async () => {
    const { id } = await createJob(db, demoJob("sail-loft"), "new");
    const kept = await keepPhoto(db, id, { name: "back of the bar.png", device: "bar", bytes: PNG });
    if (!kept.ok) throw new Error("refused");
    await saveJob(db, id, { revision: 1, commands: [{ kind: "attach", attachment: kept.value, at: null }] });
    expect(await readdir(join(folder, "attachments"))).toEqual([kept.value.id]);
    const stored = await findJob(db, id);
    const again = stored && (await importJob(db, await packJob(db, stored)));
    if (!again?.ok) throw new Error("not taken in");
    const [photo] = again.value.stored.job.attachments;
    expect(photo).toMatchObject({ name: "back of the bar.png", device: "bar", bytes: PNG.length });
    expect(photo && (await findPhoto(db, again.value.stored.id, photo.id))?.bytes).toEqual(PNG);
    const copy = await copyJob(db, id, "Loft, second room");
    expect(copy?.job).toMatchObject({ name: "Loft, second room", visitOn: null });
    expect(copy?.job.attachments).toHaveLength(1);
  });

  test("a page or a program under a picture's name is refused, and one too large", async () => {
    const { id } = await createJob(db, emptyJob("Room"), "new");
    const page = new TextEncoder().encode("<html><script>alert(1)</script>");
    expect(await keepPhoto(db, id, { name: "back.png", device: null, bytes: page })).toMatchObject({
      ok: false,
      refusal: { code: "not-a-photo" },
    });
    const large = new Uint8Array(9 * 1024 * 1024);
    large.set(PNG);
    expect(await keepPhoto(db, id, { name: "back.png", device: null, bytes: large })).toMatchObject({
      ok: false,
      refusal: { code: "photo-too-large" },
    });
    expect(await readdir(folder)).not.toContain("attachments");
  });

  test("a zip that is no packed job, or is cut off, is refused", async () => {
    const stored = await createJob(db, demoJob("flat-4b"), "new");
    const packed = await packJob(db, stored);
    for (const cut of [2, 30, packed.length - 5]) expect((await importJob(db, packed.subarray(0, cut))).ok).toBe(false);
  });
});

describe("a stored document that no longer reads", () => {
  const damage = async (id: string, text: string) => {
    await db.models.jobs.update({ summary: null }, { where: { id } });
    await db.models.jobDocuments.update({ document: text }, { where: { jobId: id } });
  };

  test("is told in the docket, kept byte for byte, and the job comes back from its log", async () => {
    const { id } = await createJob(db, demoJob("flat-4b"), "new");
    await saveJob(db, id, { revision: 1, commands: [{ kind: "rename-device", device: "bar", name: "Short bar" }] });
    await damage(id, '{"format":"octachord-job","version":1,');
    expect((await docketPage(db, everything)).jobs).toMatchObject([{ name: "Flat 4B", summary: null }]);
    const found = await damagedJob(db, id);
    expect(found?.text).toBe('{"format":"octachord-job","version":1,');
    expect(found?.saved).toMatchObject({ from: { kind: "log" } });
    expect(found?.saved?.job.devices.find((device) => device.id === "bar")?.name).toBe("Short bar");
  });

  test("a sound one is not damaged, and one that is not there is none", async () => {
    const { id } = await createJob(db, emptyJob("Room"), "new");
    expect(await damagedJob(db, id)).toBeNull();
    expect(await damagedJob(db, "00000000-0000-4000-8000-000000000000")).toBeNull();
  });
});

describe("new jobs", () => {
  test("begin from a template, or with nothing; an unknown template makes none", async () => {
    expect((await startJob(db, "Den", "receiver-hub"))?.job).toMatchObject({ name: "Den", cables: { length: 5 } });
    expect((await startJob(db, "Bare", null))?.job.devices).toEqual([]);
    expect(await startJob(db, "None", "no-such")).toBeNull();
    expect((await docketPage(db, everything)).total).toBe(2);
  });
});

test("the bin has a list of its own", async () => {
  const { id } = await createJob(db, emptyJob("Old room"), "new");
  await createJob(db, emptyJob("New room"), "new");
  await binJob(db, id);
  expect((await docketPage(db, { ...everything, bin: true })).jobs.map(({ name }) => name)).toEqual(["Old room"]);
  expect((await docketPage(db, everything)).jobs.map(({ name }) => name)).toEqual(["New room"]);
});

test("the firm's settings are kept, and are as from the factory before", async () => {
  expect(await preferences(db)).toEqual(defaultPreferences());
  await keepPreferences(db, { ...defaultPreferences(), units: "imperial", currency: "cr" });
  expect(await preferences(db)).toMatchObject({ units: "imperial", currency: "cr" });
});

test("a device of one's own is corrected in its place", async () => {
  const bar = fromShelfOrThrow("bar-one-input", { id: "bar", name: "Long bar" });
  const kept = await keepOwnDevice(db, bar);
  if (!kept.ok) throw new Error("refused");
  expect(await changeOwnDevice(db, kept.value.id, { ...bar, name: "Longer bar" })).toMatchObject({ ok: true });
  expect((await ownDevices(db)).own.map(({ device }) => device.name)).toEqual(["Longer bar"]);
  expect(await changeOwnDevice(db, "00000000-0000-4000-8000-000000000000", bar)).toBeNull();
});

test("among thousands of jobs every typed word still finds its job", async () => {
  const many = demoJob("flat-4b");
  const columns = (await createJob(db, many, "new")).id;
  const row = await db.models.jobs.findByPk(columns);
  if (!row) throw new Error("no row");
  const plain = row.get({ plain: true });
  const ids = Array.from({ length: 2000 }, (_, n) => `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`);
  await db.models.jobs.bulkCreate(ids.map((id, n) => ({ ...plain, id, name: `Flat ${n}` })));
  await db.models.jobWords.bulkCreate(ids.map((jobId, n) => ({ jobId, words: `flat ${n}\n${typedWords(many)}` })));
  const page = await docketPage(db, { ...everything, q: "flat 1234" });
  expect(page.jobs.map(({ name }) => name)).toEqual(["Flat 1234"]);
  expect((await docketPage(db, { ...everything, page: 3 })).jobs).toHaveLength(50);
});

describe("the search of the docket", () => {
  const named = (name: string): Job => ({ ...emptyJob(name), customer: "Zoë Brontë-Okafor" });
  const found = async (q: string) => (await docketPage(db, { ...everything, q })).jobs.map(({ name }) => name);

  test("finds a word by its beginning, without its accents, and written in either way", async () => {
    await createJob(db, named("Caf\u00e9 Orl\u00e9ans"), "new");
    for (const q of ["cafe", "CAF\u00c9", "cafe\u0301 orl", "orleans", "bronte", "okaf"])
      expect(await found(q)).toEqual(["Caf\u00e9 Orl\u00e9ans"]);
    expect(await found("cafe nowhere")).toEqual([]);
  });

  test("takes what is typed for words, whatever signs are in it", async () => {
    await createJob(db, named('Flat "4B" (rear) AND NOT this'), "new");
    for (const q of ['"4B"', "flat*", "(rear", "AND", "NOT this", "4b:", "^flat", "-", "''; DROP TABLE jobs"])
      expect(await found(q), q).toEqual(q.includes("DROP") ? [] : ['Flat "4B" (rear) AND NOT this']);
  });

  test("follows a save: what was typed before is no longer found", async () => {
    const { id } = await createJob(db, named("Old mill"), "new");
    await saveJob(db, id, { revision: 1, commands: [{ kind: "edit-job", fields: { name: "New forge" } }] });
    expect(await found("mill")).toEqual([]);
    expect(await found("forge")).toEqual(["New forge"]);
  });
});
