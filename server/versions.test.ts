import { mkdtemp } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test, vi } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { STORED_VERSION, type VersionStep } from "@/core/versions";
import { createJob, damagedJob, keepOwnDevice, openDatabase, ownDevices } from "@/server";

// As if this program had renamed a job's `customer` and a device's `note`: in version 1 they were called otherwise.
vi.mock("@/core/versions/steps", () => {
  const renamed = (value: unknown, from: string, to: string): Record<string, unknown> => {
    const { [from]: held, ...rest } = value as Record<string, unknown>;
    return from in (value as object) ? { ...rest, [to]: held } : rest;
  };
  const device = (value: unknown) => renamed(value, "remark", "note");
  const step: VersionStep = {
    to: 2,
    name: "names",
    up: {
      device,
      job: (value) => {
        const job = renamed(value, "client", "customer");
        return { ...job, devices: (job.devices as readonly unknown[]).map(device) };
      },
      command: (value) => {
        const command = value as { kind: string; fields?: unknown; device?: unknown };
        if (command.kind === "edit-job") return { ...command, fields: renamed(command.fields, "client", "customer") };
        return command.kind === "add-device" ? { ...command, device: device(command.device) } : command;
      },
      stock: (value) => value,
      preferences: (value) => value,
    },
  };
  const same = (value: unknown) => value;
  const plain: VersionStep = { to: 3, name: "nothing", up: { device: same, job: same, command: same, stock: same, preferences: same } };
  return { STEPS: [step, plain, { ...plain, to: 4 }, { ...plain, to: 5 }] };
});

test("a renamed field voids neither an own device nor the log of a job that an older program kept", async () => {
  const folder = await mkdtemp(join(tmpdir(), "octachord-versions-"));
  const db = await openDatabase(folder);
  const { customer, devices, ...rest } = demoJob("flat-4b");
  const asBefore = devices.map(({ note, ...device }) => ({ ...device, remark: note }));
  const document = { ...rest, version: 1, client: customer, devices: asBefore };
  const { id } = await createJob(db, demoJob("flat-4b"), "new");
  const [bar] = devices;
  if (!bar) throw new Error("no device");
  await keepOwnDevice(db, { ...bar, room: null });
  // As version 1 wrote them; the newest document is lost.
  await db.sequelize.query("DROP TRIGGER job_events_no_update");
  const entry = (revision: number, event: unknown) => ({
    jobId: id,
    revision,
    saveId: crypto.randomUUID(),
    at: "",
    event: JSON.stringify(event),
    version: 1,
  });
  await db.models.jobEvents.update(entry(1, { kind: "new", document }), { where: { jobId: id } });
  await db.models.jobEvents.create(entry(2, { kind: "commands", commands: [{ kind: "edit-job", fields: { client: "Of the log" } }] }));
  await db.models.jobDocuments.update({ document: "{" }, { where: { jobId: id } });
  const { note, ...own } = bar;
  await db.models.shelfDevices.update({ device: JSON.stringify({ ...own, room: null, remark: note }), version: 1 }, { where: {} });

  expect((await damagedJob(db, id))?.saved).toMatchObject({
    from: { kind: "log" },
    job: { customer: "Of the log", version: STORED_VERSION },
  });
  expect(await ownDevices(db)).toMatchObject({ own: [{ device: { note: bar.note } }], damaged: [] });
  await db.close();
});
