import { describe, expect, test } from "vitest";
import { arrivalsOf } from "@/core/chain";
import { applyCommand, type Command, type Job } from "@/core/job";
import { reasonSentence } from "@/core/text";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { finderOf, generator, playFault, priorsOf, stepId, symptomsOf, type Finder } from "@/core/diagnose";

const den = finderOf(demoJob("receiver-den"));
const hall = finderOf(demoJob("village-hall"));
const told = (finder: Finder, id: string): readonly string[] => {
  const found = finder.played.find(({ fault }) => fault.id === id);
  if (!found) throw new Error(`${id} is not among ${finder.played.map(({ fault }) => fault.id).join(" ")}`);
  return symptomsOf(found.seen, finder.healthy.seen).map((one) => one.id);
};
const after = (job: Job, command: Command): Job => {
  const applied = applyCommand(job, command);
  if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
  return applied.value.job;
};

describe("what a fault brings about is played, not listed", () => {
  test("a muted receiver is silent with everything", () => expect(told(hall, "muted:receiver/mute=on")).toContain("silent:all"));

  test("a dead player is missed alone", () => {
    const complaints = told(hall, "dead-device:disc");
    expect(complaints.filter((id) => id.includes(":disc"))).not.toEqual([]);
    expect(complaints.some((id) => id.startsWith("silent:streamer"))).toBe(false);
  });

  test("headphones at a player leave its picture", () => {
    const complaints = told(hall, "headphones:streamer");
    expect(complaints).toContain("silent:streamer");
    expect(complaints.some((id) => id.startsWith("no-picture"))).toBe(false);
  });

  test("what a household would not notice is no fault", () => {
    for (const { healthy, played } of [den, hall]) for (const { seen } of played) expect(symptomsOf(seen, healthy.seen)).not.toEqual([]);
  });
});

describe("how a room is at the moment", () => {
  const job = demoJob("02-console-through-arc", "systems");
  const cable = job.cables[0];
  const states = ["half-in", "stale", "broken"] as const;
  test.each(states)("a lead that is %s carries nothing, and the row says so", (state) => {
    if (!cable) throw new Error("no cable");
    const rows = arrivalsOf(after(job, { kind: "edit-cable", cable: cable.id, fields: { state } }), "planned");
    const before = new Map(arrivalsOf(job, "planned").map((row) => [row.id, row]));
    const silent = rows.filter((row) => row.arrives === null && before.get(row.id)?.arrives);
    expect(silent.length).toBeGreaterThan(0);
    expect(
      silent
        .flatMap(({ losses }) => losses)
        .map(({ reason }) => reasonSentence(job, reason))
        .join(" "),
    ).not.toBe("");
  });

  test("a device without power plays nothing and is missed by name", () => {
    const console_ = job.devices.find(({ role }) => role === "player");
    if (!console_) throw new Error("no player");
    const rows = arrivalsOf(after(job, { kind: "edit-device", device: console_.id, fields: { state: "no-power" } }), "planned");
    const [row] = rows.filter(({ player }) => player === console_.id);
    expect(row?.verdict).toBe("silent");
    expect(row?.losses.map(({ reason }) => reason.code)).toContain("device-state");
  });

  test("a broken socket silences what is plugged into it", () => {
    const end = cable?.from;
    if (!end) throw new Error("no cable");
    const rows = arrivalsOf(after(job, { kind: "edit-port", device: end.device, port: end.port, fields: { dead: true } }), "planned");
    expect(rows.some(({ arrives }) => arrives === null)).toBe(true);
  });
});

describe("priors", () => {
  test("add up to one", () => {
    const priors = priorsOf(hall.played.map(({ fault }) => fault));
    expect(priors.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9);
  });

  test("a kind's weight is shared by its places: many cables do not make a broken one likelier than mute", () => {
    const faults = hall.played.map(({ fault }) => fault);
    const priors = priorsOf(faults);
    const share = (kind: string) => faults.reduce((sum, fault, index) => (fault.kind === kind ? sum + (priors[index] ?? 0) : sum), 0);
    expect(share("muted")).toBeGreaterThan(share("broken-cable"));
    expect(share("wrong-format")).toBeGreaterThan(share("stale"));
    expect(share("stale")).toBeGreaterThan(share("dead-device"));
  });

  test("what a firm has solved often becomes likelier, and so does what this job had before", () => {
    const faults = hall.played.map(({ fault }) => fault);
    const [before, learned] = [priorsOf(faults), priorsOf(faults, { weights: {}, solved: { stale: 60 }, earlier: [] })];
    const stale = faults.findIndex(({ kind }) => kind === "stale");
    expect(learned[stale]).toBeGreaterThan(before[stale] ?? 1);
    const again = priorsOf(faults, { weights: {}, solved: {}, earlier: [faults[stale]?.id ?? ""] });
    expect((again[stale] ?? 0) / (before[stale] ?? 1)).toBeGreaterThan(2);
  });
});

describe("every fault of every demo room", () => {
  const finders = (["jobs", "systems"] as const).flatMap((shelf) => demoJobNames(shelf).map((name) => finderOf(demoJob(name, shelf))));
  test("has a cure, an id of its own, and goes with the undo of its edit", () => {
    for (const { healthy, played } of finders) {
      expect(new Set(played.map(({ fault }) => fault.id)).size).toBe(played.length);
      for (const { fault } of played) {
        expect(fault.cures.map(stepId)).not.toEqual([]);
        if (!fault.plant) continue;
        const applied = applyCommand(healthy.job, fault.plant);
        if (!applied.ok) throw new Error(fault.id);
        expect(after(applied.value.job, applied.value.inverse)).toEqual(healthy.job);
      }
    }
  });

  test("is played the same from scratch as after the healthy room", () => {
    const draw = generator(4);
    for (const { healthy, played } of finders) {
      const one = played[Math.floor(draw() * played.length)];
      if (!one?.fault.plant) continue;
      const scratch = finderOf(after(healthy.job, one.fault.plant)).healthy.seen;
      const again = playFault(healthy, one.fault);
      for (const [row, shown] of again?.rows ?? [])
        if (shown !== "no-picture" && scratch.rows.has(row) && !shown.includes("lesser-picture")) expect(scratch.rows.get(row)).toBe(shown);
    }
  });
});
