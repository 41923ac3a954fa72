import { mkdtemp, readdir, readFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { strToU8, unzipSync, zipSync } from "fflate";
import { afterEach, beforeEach, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { fromShelfOrThrow } from "@/core/device";
import { defaultPreferences } from "@/core/preferences";
import {
  addStock,
  binJob,
  bringIn,
  createJob,
  docketPage,
  findJob,
  findPhoto,
  keepOwnDevice,
  keepPhoto,
  keepPreferences,
  openDatabase,
  ownDevices,
  packEverything,
  preferences,
  saveJob,
  stockItems,
  type Database,
} from "@/server";

let [here, there]: (Database | null)[] = [null, null];
const opened = async () => openDatabase(await mkdtemp(join(tmpdir(), "octachord-everything-")));
beforeEach(async () => {
  [here, there] = [await opened(), await opened()];
});
afterEach(async () => {
  await here?.close();
  await there?.close();
});
const both = () => {
  if (!here || !there) throw new Error("not open");
  return { from: here, to: there };
};

const PNG = new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1, 2, 3]);
const all = { q: "", phase: null, page: 1 } as const;
const cable = { what: { kind: "cable", class: "ultra-high-speed", lengthM: 2 }, count: 3, minimum: 1, price: 12 } as const;

/** Two jobs, one with a photo, a job in the bin, a device, a line, settings. */
async function fill(db: Database): Promise<string> {
  const { id } = await createJob(db, demoJob("sail-loft"), "new");
  const photo = await keepPhoto(db, id, { name: "rack.png", device: null, bytes: PNG });
  if (!photo.ok) throw new Error("no photo");
  await saveJob(db, id, { revision: 1, commands: [{ kind: "attach", attachment: photo.value, at: null }] });
  await createJob(db, demoJob("flat-4b"), "new");
  await binJob(db, (await createJob(db, demoJob("receiver-den"), "new")).id);
  await keepOwnDevice(db, fromShelfOrThrow("bar-one-input", { id: "own", name: "Our bar" }));
  await addStock(db, cable);
  await keepPreferences(db, { ...defaultPreferences(), units: "imperial" });
  return id;
}

async function packed(db: Database): Promise<Uint8Array> {
  const { file, forget } = await packEverything(db);
  const bytes = new Uint8Array(await readFile(file));
  await forget();
  return bytes;
}

test("everything leaves as open files and comes into another Octachord as it was; what lies in the bin stays", async () => {
  const { from, to } = both();
  const id = await fill(from);
  const bytes = await packed(from);
  expect(Object.keys(unzipSync(bytes)).filter((name) => !name.includes("/photos/"))).toEqual([
    "README.txt",
    "jobs/0001-flat-4b/job.octachord.json",
    "jobs/0002-sail-loft/job.octachord.json",
    "shelf.octachord.json",
    "van.octachord.json",
    "settings.octachord.json",
  ]);
  expect(await readdir(join(from.file, "..", "backups"))).toEqual([]);
  const brought = await bringIn(to, bytes);
  expect(brought).toMatchObject({
    value: { jobs: ["Flat 4B", "Sail Loft"], photosLeftOut: [], devices: 1, lines: 1, settings: true, refused: [] },
  });
  const jobs = (await docketPage(to, all)).jobs;
  expect(jobs.map(({ name }) => name)).toEqual(["Flat 4B", "Sail Loft"]);
  const loft = await findJob(to, jobs[1]?.id ?? "");
  const before = await findJob(from, id);
  const photo = loft?.job.attachments[0];
  expect({ ...loft?.job, attachments: [] }).toEqual({ ...before?.job, attachments: [] });
  expect((await findPhoto(to, loft?.id ?? "", photo?.id ?? ""))?.bytes).toEqual(PNG);
  expect((await ownDevices(to)).own.map(({ device }) => device.name)).toEqual(["Our bar"]);
  expect((await stockItems(to)).map(({ id: _id, ...line }) => line)).toEqual([cable]);
  expect((await preferences(to)).units).toBe("imperial");
});

test("coming in never overwrites: jobs are new ones, a device, a line and settings that are there stand", async () => {
  const { from, to } = both();
  await fill(from);
  await addStock(to, { ...cable, count: 9 });
  await keepPreferences(to, { ...defaultPreferences(), currency: "cr" });
  const bytes = await packed(from);
  await bringIn(to, bytes);
  expect(await bringIn(to, bytes)).toMatchObject({ value: { devices: 0, lines: 0, settings: false } });
  expect((await docketPage(to, all)).total).toBe(4);
  expect((await stockItems(to)).map(({ count }) => count)).toEqual([9]);
  expect(await preferences(to)).toMatchObject({ units: "metric", currency: "cr" });
});

test("a document that does not read goes out as its text, and keeps nothing else from coming in", async () => {
  const { from, to } = both();
  const id = await fill(from);
  await from.models.jobDocuments.update({ document: "{half" }, { where: { jobId: id } });
  const bytes = await packed(from);
  expect(new TextDecoder().decode(unzipSync(bytes)["jobs/0002-damaged/damaged.txt"])).toBe("{half");
  expect(await bringIn(to, bytes)).toMatchObject({ value: { jobs: ["Flat 4B"], devices: 1 } });
});

test("a job that is none is told by its place in the package, and a package without anything is none", async () => {
  const { to } = both();
  const broken = zipSync({ "jobs/a/job.octachord.json": strToU8("{}"), "van.octachord.json": strToU8("nonsense") });
  expect(await bringIn(to, broken)).toMatchObject({ value: { jobs: [], refused: [{ file: "jobs/a/job.octachord.json" }] } });
  expect(await bringIn(to, zipSync({ "hello.txt": strToU8("x") }))).toEqual({ ok: false, refusal: { code: "nothing-in-it" } });
  expect(await bringIn(to, strToU8("no zip"))).toMatchObject({ ok: false, refusal: { code: "zip" } });
});
