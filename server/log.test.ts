import { mkdtemp } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, beforeEach, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { applyCommand, type Command } from "@/core/job";
import { createJob, findJob, jobThen, momentsOf, openDatabase, saveJob, type Database } from "@/server";

let db: Database;
beforeEach(async () => {
  db = await openDatabase(await mkdtemp(join(tmpdir(), "octachord-log-")));
});
afterEach(() => db.close());

const save = async (id: string, revision: number, ...commands: Command[]) => {
  const saved = await saveJob(db, id, { revision, commands });
  if (!saved.ok) throw new Error(JSON.stringify(saved.refusal));
};
/** A loft from which a cable and a device went, with a name given between. */
async function changedLoft(): Promise<string> {
  const { id } = await createJob(db, demoJob("sail-loft"), "new");
  await save(id, 1, { kind: "set-setting", device: "television", setting: "earc", state: "planned", value: "off" });
  await save(id, 2, { kind: "edit-job", fields: { name: "Loft" } }, { kind: "unplug", cable: "streamer-tv" });
  await save(id, 3, { kind: "remove-device", device: "streamer" });
  return id;
}

test("the moments of a job are its saves by the names of their edits, the newest first", async () => {
  const { moments, total } = await momentsOf(db, await changedLoft());
  expect(total).toBe(4);
  expect(moments.map(({ revision, kind }) => [revision, kind])).toEqual([
    [4, "commands"],
    [3, "commands"],
    [2, "commands"],
    [1, "new"],
  ]);
  // A device that is gone since is still called by its name.
  expect(moments[0]?.words).toEqual(["removed Streamer"]);
  expect(moments[1]?.words).toHaveLength(2);
});

test("a moment gives the job as it was, and the edit that leads back there from now", async () => {
  const id = await changedLoft();
  for (const revision of [1, 2, 3]) {
    const then = await jobThen(db, id, revision);
    const now = await findJob(db, id);
    if (!then?.back || !now) throw new Error("no way back");
    const back = applyCommand(now.job, then.back);
    expect(back.ok && back.value.job).toEqual(then.job);
  }
  expect((await jobThen(db, id, 1))?.job).toEqual(demoJob("sail-loft"));
});

test("going back is a save like any other: the log goes on, and from there it leads forward again", async () => {
  const id = await changedLoft();
  const then = await jobThen(db, id, 1);
  if (!then?.back) throw new Error("no way back");
  await save(id, 4, then.back);
  expect((await findJob(db, id))?.job).toEqual(demoJob("sail-loft"));
  expect((await momentsOf(db, id)).total).toBe(5);
  const again = await jobThen(db, id, 4);
  expect(again?.job.devices.some((device) => device.id === "streamer")).toBe(false);
  expect(again?.back).not.toBeNull();
});

test("over a whole document that was put in place no edits lead back, and a save that never was is none", async () => {
  const id = await changedLoft();
  await saveJob(db, id, { revision: 4, document: demoJob("flat-4b") });
  expect(await jobThen(db, id, 2)).toMatchObject({ back: null, from: 5 });
  expect(await jobThen(db, id, 99)).toBeNull();
});
