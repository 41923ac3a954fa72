import { mkdtemp } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { randomUUID } from "node:crypto";
import { afterEach, beforeEach, expect, test } from "vitest";
import { applyCommand, type VisitEntry } from "@/core/job";
import { visitSteps } from "@/core/visit";
import { demoJob } from "@/demo/demo-jobs";
import { binJob, createJob, eraseJob, findJob, keepEntries, visitRecord, type Database } from "@/server";
import { openDatabase } from "./database";

let db: Database;
beforeEach(async () => {
  db = await openDatabase(await mkdtemp(join(tmpdir(), "octachord-visit-")));
});
afterEach(() => db.close());

const entry = (step: string, minute: number): VisitEntry => ({
  id: randomUUID(),
  step,
  state: "done",
  note: "",
  sees: null,
  measured: null,
  photos: [],
  work: null,
  minutes: null,
  at: `2026-11-27T10:0${minute}:00.000Z`,
  who: "",
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
