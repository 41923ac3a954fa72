import { mkdtemp } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { randomUUID } from "node:crypto";
import { strFromU8, unzipSync } from "fflate";
import { afterEach, beforeEach, expect, test } from "vitest";
import { applyCommand, VisitEntry } from "@/core/job";
import { visitSteps } from "@/core/visit";
import { demoJob } from "@/demo/demo-jobs";
import {
  binJob,
  createJob,
  eraseJob,
  findJob,
  findPhoto,
  firmMinutes,
  importJob,
  keepEntries,
  keepPhoto,
  packJob,
  saveJob,
  visitRecord,
  type Database,
} from "@/server";
import { openDatabase } from "./database";

let db: Database;
beforeEach(async () => {
  db = await openDatabase(await mkdtemp(join(tmpdir(), "octachord-visit-")));
});
afterEach(() => db.close());

const entry = (step: string, minute: number): VisitEntry =>
  VisitEntry.parse({
    id: randomUUID(),
    step,
    state: "done",
    at: `2026-11-27T10:0${minute}:00.000Z`,
  });
function needed<Value>(value: Value | null | undefined): Value {
  if (value === null || value === undefined) throw new Error("the demo no longer has what this test needs");
  return value;
}
const newJob = () => createJob(db, demoJob("sail-loft"), "new");

test("entries are kept in the order of their moments, and one that is sent twice is there once", async () => {
  const { id } = await newJob();
  const [first, second] = [entry("protect", 1), entry("photo", 2)];
  await keepEntries(db, id, [second]);
  expect(await keepEntries(db, id, [first, second])).toEqual({ ok: true, value: { entries: [first, second], revision: 1 } });
  expect(await visitRecord(db, id)).toEqual([first, second]);
});

test("a job that is there twice has its record twice; one of a job that is not there is refused", async () => {
  const [one, other] = [await newJob(), await newJob()];
  const photo = entry("photo", 1);
  await keepEntries(db, one.id, [photo]);
  expect(await keepEntries(db, other.id, [photo])).toMatchObject({ ok: true, value: { entries: [photo] } });
  expect(await visitRecord(db, one.id)).toEqual([photo]);
  expect(await keepEntries(db, randomUUID(), [photo])).toEqual({ ok: false, refusal: { code: "no-such-job" } });
});

test("a menu that was set is noted as left in the job, and a taken back tick takes it back", async () => {
  const planned = applyCommand(demoJob("flat-4b"), {
    kind: "set-setting",
    device: "television",
    setting: "speakers",
    state: "planned",
    value: "external",
  });
  if (!planned.ok) throw new Error("the television has no such menu");
  const { job } = planned.value;
  const menu = needed(visitSteps(job, []).find(({ act }) => act === "set"));
  const { id } = await createJob(db, job, "new");
  const set = await keepEntries(db, id, [entry(menu.id, 1)]);
  expect(set).toMatchObject({ ok: true, value: { revision: 2 } });
  const leftNow = async () => {
    const { devices } = needed(await findJob(db, id)).job;
    return devices.find((device) => device.id === menu.device)?.settings.find(({ key }) => key === menu.setting?.key)?.left;
  };
  expect(await leftNow()).toBe(menu.setting?.value);
  await keepEntries(db, id, [{ ...entry(menu.id, 2), state: "open" }]);
  expect(await leftNow()).toBe(null);
});

test("a cable from the van leaves the van when it is plugged, and is there in the job; the room as found is kept before", async () => {
  const job = demoJob("village-hall");
  const cable = needed(job.cables.find(({ supply }) => supply === "van"));
  const plug = needed(visitSteps(job, []).find((step) => step.act === "plug" && step.cable === cable.id));
  const { id } = await createJob(db, job, "new");
  await keepEntries(db, id, [entry(plug.id, 1)]);
  const { job: after } = needed(await findJob(db, id));
  expect(after.cables.find((one) => one.id === cable.id)?.supply).toBe("there");
  expect(after.snapshots[0]?.cables.map((one) => one.id)).not.toContain(cable.id);
});

test("the record cannot be changed or shortened, and goes with its job alone", async () => {
  const { id } = await newJob();
  await keepEntries(db, id, [entry("photo", 1)]);
  await expect(db.sequelize.query("UPDATE visit_entries SET at = 'x'")).rejects.toThrow();
  await expect(db.sequelize.query("DELETE FROM visit_entries")).rejects.toThrow();
  expect(await visitRecord(db, id)).toHaveLength(1);
  await binJob(db, id);
  expect(await eraseJob(db, id)).toMatchObject({ ok: true });
  expect(await db.models.visitEntries.count()).toBe(0);
});

test("the record goes out with its job and comes back in, to the byte, also out of everything", async () => {
  const { id } = await newJob();
  const entries = [
    {
      ...entry("prove disc-player/disc/film-truehd", 1),
      sees: { coding: "lpcm" as const, channels: "2.0" as const },
      note: "Café, étage 3",
    },
    { ...entry("photo", 2), minutes: 2.5, work: "photo" as const, who: "Ida" },
  ];
  await keepEntries(db, id, entries);
  const packed = await packJob(db, needed(await findJob(db, id)));
  const again = await importJob(db, packed);
  if (!again.ok) throw new Error("the file does not read");
  const there = again.value.stored;
  expect(JSON.stringify(await visitRecord(db, there.id))).toBe(JSON.stringify(entries));
  // In the database it is kept once, beside the document.
  expect(needed(await findJob(db, there.id)).job.record).toEqual([]);
  const [before, after] = [packed, await packJob(db, needed(await findJob(db, there.id)))].map((zip) =>
    JSON.stringify((JSON.parse(strFromU8(needed(unzipSync(zip)["job.octachord.json"]))) as { record: unknown }).record),
  );
  expect(after).toBe(before);
});

test("photos of a step go with it, under the names that they have in the new job", async () => {
  const { id, revision } = await newJob();
  const png = new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1]);
  const photo = await keepPhoto(db, id, { name: "behind the screen", device: null, bytes: png });
  if (!photo.ok) throw new Error(photo.refusal.code);
  const attach = { kind: "attach", attachment: photo.value, at: null } as const;
  expect((await saveJob(db, id, { revision, commands: [attach] })).ok).toBe(true);
  await keepEntries(db, id, [{ ...entry("photo", 1), photos: [photo.value.id] }]);
  const again = await importJob(db, await packJob(db, needed(await findJob(db, id))));
  if (!again.ok) throw new Error("the file does not read");
  const { id: there, job } = again.value.stored;
  const [named] = (await visitRecord(db, there))[0]?.photos ?? [];
  expect(named).toBe(job.attachments[0]?.id);
  expect(await findPhoto(db, there, named ?? "")).toMatchObject({ bytes: png });
});

test("what finished visits took is what the next run sheet counts with", async () => {
  const { id } = await newJob();
  const took = [3, 3.5, 4, 4.5, 5].map((minutes, index) => ({ ...entry(`plug ${index}`, index), work: "plug" as const, minutes }));
  await keepEntries(db, id, took);
  const { learned, table } = await firmMinutes(db);
  expect(learned).toEqual({ plug: { from: 3.5, to: 4.5, steps: 5 } });
  expect(table.plug).toMatchObject({ from: 3.5, to: 4.5 });
});
