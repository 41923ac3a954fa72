import { mkdtemp } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { randomUUID } from "node:crypto";
import { afterEach, beforeEach, expect, test } from "vitest";
import type { VisitEntry } from "@/core/visit";
import { demoJob } from "@/demo/demo-jobs";
import { binJob, createJob, eraseJob, keepEntries, visitRecord, type Database } from "@/server";
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
  at: `2026-11-27T10:0${minute}:00.000Z`,
  who: "",
});
const newJob = () => createJob(db, demoJob("sail-loft"), "new");

test("entries are kept in the order of their moments, and one that is sent twice is there once", async () => {
  const { id } = await newJob();
  const [first, second] = [entry("protect", 1), entry("photo", 2)];
  await keepEntries(db, id, [second]);
  expect(await keepEntries(db, id, [first, second])).toEqual({ ok: true, value: [first, second] });
  expect(await visitRecord(db, id)).toEqual([first, second]);
});

test("an entry of another job, and one of a job that is not there, are refused whole", async () => {
  const [one, other] = [await newJob(), await newJob()];
  const theirs = entry("photo", 1);
  await keepEntries(db, one.id, [theirs]);
  expect(await keepEntries(db, other.id, [entry("protect", 0), theirs])).toEqual({ ok: false, refusal: { code: "entry-elsewhere" } });
  expect(await visitRecord(db, other.id)).toEqual([]);
  expect(await keepEntries(db, randomUUID(), [entry("photo", 1)])).toEqual({ ok: false, refusal: { code: "no-such-job" } });
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
