import { mkdtemp, readdir, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import fc from "fast-check";
import { afterEach, beforeEach, describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { photoNamed, spoiled } from "@/demo/spoiled-under-test";
import { fromShelfOrThrow } from "@/core/device";
import { Command, emptyJob, readJob, type Job } from "@/core/job";
import { defaultPreferences } from "@/core/preferences";
import {
  addStock,
  copyJob,
  createJob,
  damagedJob,
  docketPage,
  findJob,
  findPhoto,
  importJob,
  jobParts,
  keepOwnDevice,
  keepPhoto,
  openDatabase,
  ownDevices,
  packJob,
  preferences,
  salvageStored,
  saveJob,
  stockLines,
  type Database,
} from "@/server";

import { sweepFiles } from "./attachment-store";

let folder: string;
let db: Database;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), "octachord-sound-"));
  db = await openDatabase(folder);
});
afterEach(() => db.close());

const PNG = new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
const everything = { q: "", phase: null, page: 1 } as const;
const loft = demoJob("sail-loft");
const attach = (count: number): Command[] =>
  Array.from({ length: count }, (_, index) => ({ kind: "attach", attachment: photoNamed(index), at: null }));
const bar = fromShelfOrThrow("bar-one-input", { id: "new-bar", name: "New bar" });
const add = (count: number): Command[] =>
  Array.from({ length: count }, (_, index) => ({ kind: "add-device", device: { ...bar, id: `d${index}`, name: `D${index}` }, at: null }));
const state = (job: Job) => ({ id: "kept", name: "Kept", takenAt: "2026-11-26T10:00:00Z", devices: job.devices, cables: job.cables });
const long = "x".repeat(3900);

describe("what would not open again is refused, with its place, and the job stays as it was", () => {
  const cases: readonly (readonly [string, readonly Command[], RegExp])[] = [
    ["the 101st photo", attach(101), /attachments/],
    ["a plate beyond the table", [{ kind: "arrange", device: "bar", to: { x: 100_001, y: 0 } }], /layout|arrange|x/],
    ["the 201st device", add(200), /devices/],
    [
      "a device with a route to nowhere",
      [{ kind: "add-device", device: { ...bar, routes: [{ ...bar.routes[0], to: ["nowhere"] }] as never }, at: null }],
      /routes/,
    ],
    ["a device in an unknown room", [{ kind: "add-device", device: { ...bar, room: "attic" }, at: null }], /room/],
    ["a brief that names an unknown device", [{ kind: "edit-brief", fields: { soundSystem: "nobody" } }], /soundSystem|nobody/],
    ["a kept state with a cable to nothing", [{ kind: "keep-snapshot", at: null, snapshot: { ...state(loft), devices: [] } }], /snapshots/],
  ];
  test.each(cases)("%s", async (_what, commands, place) => {
    const { id } = await createJob(db, loft, "new");
    const saved = await saveJob(db, id, { revision: 1, commands: [...commands] });
    expect(saved.ok).toBe(false);
    if (!saved.ok) expect(JSON.stringify(saved.refusal)).toMatch(place);
    expect((await findJob(db, id))?.job).toEqual(loft);
  });

  test("kept states that make the file too large", async () => {
    const many = Array.from({ length: 190 }, (_, index) => ({ ...bar, id: `d${index}`, name: `D${index}`, note: long }));
    const heavy: Job = { ...emptyJob("Heavy"), devices: many };
    const { id } = await createJob(db, heavy, "new");
    let revision = 1;
    let refused = null;
    for (let index = 0; index < 40 && refused === null; index += 1) {
      const commands: Command[] = [{ kind: "keep-snapshot", at: null, snapshot: { ...state(heavy), id: `s${index}` } }];
      const saved = await saveJob(db, id, { revision, commands });
      if (saved.ok) revision = saved.value.revision;
      else refused = saved.refusal;
    }
    expect(refused).toMatchObject({ refusal: { trouble: { code: "too-large" } } });
    expect((await findJob(db, id))?.revision).toBe(revision);
  });
});

/** Rounds tried: a few in every run of the tests, as many as are promised by `npm run prove`. */
const EDITS = process.env.OCTACHORD_PROVE ? 100_000 : 600;

/** Values that no careful page would send. */
const hostile = fc.oneof(
  fc.constantFrom<unknown>(null, -1, 1e300, 100_001, "nobody", "", long, [], {}, "__proto__", "\u0000", "constructor"),
  fc.jsonValue({ maxDepth: 2 }),
);
const COMMANDS: readonly Command[] = [
  { kind: "arrange", device: "bar", to: { x: 1, y: 1 } },
  {
    kind: "edit-brief",
    fields: { soundSystem: "bar", mustStay: ["bar"], wishes: "w", bonds: [{ bond: "pin", player: "console", hub: "bar", port: null }] },
  },
  { kind: "edit-device", device: "bar", fields: { note: "n", room: null, name: "Bar" } as never },
  { kind: "edit-job", fields: { name: "n", customer: "c", visitOn: "2026-12-01" } },
  { kind: "set-rooms", rooms: [{ id: "r", name: "Room", seats: 2 }] as never },
  { kind: "measure-room", room: "loft", fields: { temperatureC: 20, seats: [{ id: "seat", name: "Seat", at: { x: 1, y: 1 }, earM: 1 }] } },
  {
    kind: "place-unit",
    room: "loft",
    device: "bar",
    unit: "bar",
    to: { device: "bar", unit: "bar", at: { x: 1, y: 1 }, heightM: 1, facingDeg: null, mount: "wall", wireM: null, inWall: false },
    at: 0,
  },
  { kind: "keep-snapshot", at: 0, snapshot: state(loft) },
  { kind: "add-device", device: bar, at: 0 },
  { kind: "attach", attachment: photoNamed(1), at: 0 },
  { kind: "set-setting", device: "bar", setting: "cec", state: "planned", value: "off" },
  { kind: "rename-device", device: "bar", name: "Other" },
];

test(`any edits at all, ${EDITS} of them: each is refused, or the job opens again as it was saved`, async () => {
  const { id } = await createJob(db, loft, "new");
  let revision = 1;
  const tried = fc.sample(fc.tuple(fc.nat(), fc.nat(), hostile), { seed: 15, numRuns: EDITS });
  let taken = 0;
  for (const [which, where, value] of tried) {
    const command = Command.safeParse(
      spoiled(COMMANDS[which % COMMANDS.length] ?? { kind: "unplug", cable: "none" }, where, value, ["kind"]),
    );
    if (!command.success) continue;
    const saved = await saveJob(db, id, { revision, commands: [command.data] });
    if (!saved.ok) continue;
    taken += 1;
    revision = saved.value.revision;
    expect((await findJob(db, id))?.job).toEqual(saved.value.job);
  }
  expect(taken).toBeGreaterThan(EDITS / 20);
}, 3_600_000);

describe("a damaged document", () => {
  const damage = (jobId: string, document: string) => db.models.jobDocuments.update({ document }, { where: { jobId } });
  const spoilLog = (id: string, revision: number) =>
    db.sequelize
      .query(
        `DROP TRIGGER job_events_no_update; UPDATE job_events SET event = 'x{' WHERE job_id = '${id}' AND revision = ${revision}`.split(
          "; ",
        )[0] ?? "",
      )
      .then(() => db.sequelize.query(`UPDATE job_events SET event = 'x{' WHERE job_id = '${id}' AND revision = ${revision}`));

  test("gives a job that opens, with its photos", async () => {
    const { id } = await createJob(db, loft, "new");
    const kept = await keepPhoto(db, id, { name: "back.png", device: "bar", bytes: PNG });
    if (!kept.ok) throw new Error("refused");
    await saveJob(db, id, { revision: 1, commands: [{ kind: "attach", attachment: kept.value, at: null }] });
    await damage(id, "{");
    const saved = await salvageStored(db, id);
    if (!saved.ok) throw new Error("not saved");
    const [photo] = saved.value.job.attachments;
    expect(photo && (await findPhoto(db, saved.value.id, photo.id))?.bytes).toEqual(PNG);
    expect((await findJob(db, saved.value.id))?.job.devices).toEqual(loft.devices);
  });

  test("whose log leads to what does not open either gives what of it does", async () => {
    const { id } = await createJob(db, loft, "new");
    const broken = { ...loft, brief: { ...loft.brief, soundSystem: "nobody" } };
    await damage(id, JSON.stringify(broken));
    await spoilLog(id, 1);
    const found = await damagedJob(db, id);
    expect(found?.saved).toMatchObject({ from: { kind: "document" }, leftOut: ["brief.soundSystem"] });
    const saved = await salvageStored(db, id);
    expect(saved.ok && readJob(saved.value.job).ok).toBe(true);
  });

  test("that is no JSON, with a log that breaks off, gives the job as it was before that", async () => {
    const { id } = await createJob(db, loft, "new");
    const rename = (name: string): Command => ({ kind: "rename-device", device: "bar", name });
    await saveJob(db, id, { revision: 1, commands: [rename("First")] });
    await saveJob(db, id, { revision: 2, commands: [rename("Second")] });
    await damage(id, "{");
    await spoilLog(id, 3);
    const found = await damagedJob(db, id);
    expect(found?.saved?.from).toEqual({ kind: "log-until", revision: 2 });
    expect(found?.saved?.job.devices.find(({ id: device }) => device === "bar")?.name).toBe("First");
  });
});

test("one row that does not read is told in its place; the docket, every list and every other row go on", async () => {
  const { id } = await createJob(db, loft, "new");
  await createJob(db, demoJob("flat-4b"), "new");
  await keepOwnDevice(db, bar);
  await addStock(db, { what: { kind: "spare", name: "Ties" }, count: 2, minimum: 0, price: null });
  await db.models.jobs.update({ summary: "{", needs: "[7" }, { where: { id } });
  await db.models.shelfDevices.create({ id: crypto.randomUUID(), name: "Old", device: '{"id":1}', version: 1, createdAt: "2026" });
  await db.models.stockItems.create({ id: crypto.randomUUID(), fields: "no", version: 1, createdAt: "2026" });
  await db.models.preferences.upsert({ key: "firm", value: "no", version: 1 });
  const page = await docketPage(db, everything);
  // The summary of the docket is computed again from the document.
  expect(page.jobs.map(({ name, summary }) => [name, (summary?.rows ?? 0) > 0])).toEqual([
    ["Flat 4B", true],
    ["Sail Loft", true],
  ]);
  expect(await jobParts(db)).toBeDefined();
  expect(await ownDevices(db)).toMatchObject({ own: [{ device: { name: "New bar" } }], damaged: [{ text: '{"id":1}' }] });
  expect(await stockLines(db)).toMatchObject({ items: [{ count: 2 }], damaged: [{ text: "no" }] });
  expect(await preferences(db)).toEqual(defaultPreferences());
});

test("a file that a crash left without a row goes after a day, and no other", async () => {
  const { id } = await createJob(db, emptyJob("Room"), "new");
  const kept = await keepPhoto(db, id, { name: "back.png", device: null, bytes: PNG });
  if (!kept.ok) throw new Error("refused");
  const orphan = join(folder, "attachments", "00000000-0000-4000-8000-000000000009");
  await writeFile(orphan, PNG);
  expect(await sweepFiles(db)).toBe(0);
  expect(await sweepFiles(db, Date.now() + 2 * 86_400_000)).toBe(1);
  expect(await readdir(join(folder, "attachments"))).toEqual([kept.value.id]);
});

describe("a job with photos", () => {
  test("comes in whole or not at all, and says which photos were not in the package", async () => {
    const { id } = await createJob(db, emptyJob("Room"), "new");
    const kept = await keepPhoto(db, id, { name: "back.png", device: null, bytes: PNG });
    if (!kept.ok) throw new Error("refused");
    const named = { ...emptyJob("Room"), attachments: [kept.value, photoNamed(2)] };
    const { id: second } = await createJob(db, named, "new");
    const stored = await findJob(db, second);
    const again = stored && (await importJob(db, await packJob(db, stored)));
    if (!again?.ok) throw new Error("not taken in");
    expect(again.value.withoutBytes.map(({ name }) => name)).toEqual(["back.png", "back"]);
    const files = await readdir(join(folder, "attachments"));
    // A copy that cannot be kept leaves no file behind.
    await expect(copyJob(db, id, "x".repeat(400))).rejects.toThrow();
    expect(await readdir(join(folder, "attachments"))).toEqual(files);
  });
});
