import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { applyAll, type Command, type Job, VisitEntry } from "@/core/job";
import { present } from "@/core/outcome";
import { demoJob } from "@/demo/demo-jobs";
import { followUps, lastEntries, mergedEntries, progressOf, settingLeft, visitSteps } from "@/core/visit";

const id = (n: number) => `5b0c7bb0-6f1f-4c5b-8c2a-${String(n).padStart(12, "0")}`;
const entry = (n: number, step: string, state: VisitEntry["state"], minute = n): VisitEntry =>
  VisitEntry.parse({
    id: id(n),
    step,
    state,
    at: `2026-11-27T10:${String(minute).padStart(2, "0")}:00.000Z`,
  });

describe("the record of a visit", () => {
  test("counts what was entered last, also when a tick was taken back", () => {
    const last = lastEntries([entry(1, "photo", "done"), entry(3, "photo", "open"), entry(2, "protect", "not-done")]);
    expect(last.get("photo")?.state).toBe("open");
    expect(last.get("protect")?.state).toBe("not-done");
  });

  test("of several devices is the same in whatever order they meet, and loses no tick", () => {
    const entries = fc.array(
      fc.record({
        n: fc.nat(30),
        step: fc.constantFrom("a", "b", "c"),
        state: fc.constantFrom("done", "not-done", "put-off", "open"),
        minute: fc.nat(5),
      }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(entries, entries, entries, (a, b, c) => {
        // One id is one entry, wherever it comes from.
        const made = (rows: typeof a, from: number) =>
          rows
            .map(({ n, step, state, minute }) => entry(from + n, step, state, minute))
            .filter((row, index, all) => all.findIndex((other) => other.id === row.id) === index);
        const [one, two, three] = [made(a, 0), made(b, 100), made(c, 200)];
        const merged = mergedEntries(one, two, three);
        expect(mergedEntries(three, mergedEntries(two, one))).toEqual(merged);
        expect(merged).toHaveLength(one.length + two.length + three.length);
        expect([...lastEntries(merged)].toSorted()).toEqual([...lastEntries(merged.toReversed())].toSorted());
      }),
      { numRuns: 100, seed: 27 },
    );
  });
});

describe("progress", () => {
  const job = demoJob("village-hall");
  const steps = visitSteps(job);

  test("leaves out what is done or put off, keeps what was tried, and its minutes shrink", () => {
    const start = progressOf(job, steps, [], 1);
    const after = progressOf(job, steps, [entry(1, "protect", "done"), entry(2, "photo", "put-off"), entry(3, "power-off", "not-done")], 1);
    expect(start.left).toHaveLength(steps.length);
    expect(after.left.map((step) => step.id)).toEqual(expect.arrayContaining(["power-off"]));
    expect(after.left.some((step) => step.id === "protect" || step.id === "photo")).toBe(false);
    expect([...after.done]).toEqual(["protect"]);
    expect(after.minutesLeft).toBeLessThan(start.minutesLeft);
  });

  test("never forgets what was done of a step that the plan no longer has", () => {
    const progress = progressOf(job, steps, [entry(1, "plug gone", "done")], 1);
    expect(progress.beyond.map(({ step }) => step)).toEqual(["plug gone"]);
    expect(progress.left).toHaveLength(steps.length);
  });
});

test("a menu that was set is noted as left, once; left otherwise it is open again, whatever was ticked", () => {
  const set = { kind: "set-setting", device: "television", setting: "earc" } as const;
  const edited = (job: Job, command: Command): Job => {
    const made = applyAll(job, [command]);
    if (!made.ok) throw new Error("refused");
    return made.value;
  };
  const planned = edited(demoJob("sail-loft"), { ...set, state: "planned", value: "off" });
  const steps = visitSteps(planned);
  const step = present(
    steps.find((one) => one.id === "set television earc"),
    "step",
  );
  const edit = present(settingLeft(planned, step), "edit");
  expect(edit).toEqual({ ...set, state: "left", value: "off" });
  const done = edited(planned, edit);
  expect(settingLeft(done, step)).toBeNull();
  const ticked = [entry(1, step.id, "done")];
  const isLeft = (job: Job) => progressOf(job, visitSteps(job), ticked, 1).left.some(({ id: one }) => one === step.id);
  expect(isLeft(done)).toBe(false);
  // The tick of a phone without a network counts before the job says so.
  expect(isLeft(planned)).toBe(false);
  expect(isLeft(edited(planned, { ...set, state: "left", value: "on" }))).toBe(true);
});

describe("what follows from entries that came in", () => {
  const found = { name: "As found", takenAt: "2026-11-27T12:00:00.000Z" };
  const hall = demoJob("village-hall");
  const [cable] = hall.cables;
  const job: Job = { ...hall, cables: hall.cables.map((row) => (row === cable ? { ...row, supply: "van" } : row)) };
  const plug = present(
    visitSteps(job).find(({ act, cable: id }) => act === "plug" && id === cable?.id),
    "plug",
  );

  test("a finished plug fits its cable, and the room is saved as it was found before that", () => {
    const record = [entry(1, plug.id, "done")];
    const { commands, fitted } = followUps(job, record, record, found);
    expect(fitted).toEqual([{ kind: "cable", id: cable?.id, supply: "van" }]);
    const [save] = commands;
    if (save?.kind !== "keep-snapshot") throw new Error("not saved");
    expect(save.snapshot.cables.map(({ id: one }) => one)).not.toContain(cable?.id);
    // Once it is there, the step is still a step.
    const after = applyAll(job, [...commands, { kind: "edit-cable", cable: plug.cable ?? "", fields: { supply: "there" } }]);
    expect(after.ok && visitSteps(after.value).some(({ id: one }) => one === plug.id)).toBe(true);
  });

  test("nothing follows from what was put off, from what came in earlier, or from a step that is gone", () => {
    const put = [entry(1, plug.id, "put-off")];
    expect(followUps(job, put, put, found)).toEqual({ commands: [], fitted: [] });
    expect(followUps(job, [entry(1, plug.id, "done")], [], found)).toEqual({ commands: [], fitted: [] });
    const gone = [entry(1, "plug gone", "done")];
    expect(followUps(job, gone, gone, found)).toEqual({ commands: [], fitted: [] });
  });
});
