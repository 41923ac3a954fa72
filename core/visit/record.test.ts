import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { applyAll } from "@/core/job";
import { demoJob } from "@/demo/demo-jobs";
import { lastEntries, mergedEntries, progressOf, settingLeft, visitSteps, type VisitEntry } from "@/core/visit";

const id = (n: number) => `5b0c7bb0-6f1f-4c5b-8c2a-${String(n).padStart(12, "0")}`;
const entry = (n: number, step: string, state: VisitEntry["state"], minute = n): VisitEntry => ({
  id: id(n),
  step,
  state,
  note: "",
  sees: null,
  at: `2026-11-27T10:${String(minute).padStart(2, "0")}:00.000Z`,
  who: "",
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
  const steps = visitSteps(demoJob("village-hall"));

  test("leaves out what is done or put off, keeps what was tried, and its minutes shrink", () => {
    const start = progressOf(steps, [], 1);
    const after = progressOf(steps, [entry(1, "protect", "done"), entry(2, "photo", "put-off"), entry(3, "power-off", "not-done")], 1);
    expect(start.left).toHaveLength(steps.length);
    expect(after.left.map((step) => step.id)).toEqual(expect.arrayContaining(["power-off"]));
    expect(after.left.some((step) => step.id === "protect" || step.id === "photo")).toBe(false);
    expect(after.done).toBe(1);
    expect(after.minutesLeft).toBeLessThan(start.minutesLeft);
  });

  test("never forgets what was done of a step that the plan no longer has", () => {
    const progress = progressOf(steps, [entry(1, "plug gone", "done")], 1);
    expect(progress.beyond.map(({ step }) => step)).toEqual(["plug gone"]);
    expect(progress.left).toHaveLength(steps.length);
  });
});

test("a menu that was set is noted as left, once", () => {
  const planned = applyAll(demoJob("sail-loft"), [
    { kind: "set-setting", device: "television", setting: "earc", state: "planned", value: "off" },
  ]);
  if (!planned.ok) throw new Error("refused");
  const step = visitSteps(planned.value).find((one) => one.id === "set television earc");
  const edit = step && settingLeft(planned.value, step);
  expect(edit).toMatchObject({ kind: "set-setting", state: "left", value: "off" });
  const done = edit ? applyAll(planned.value, [edit]) : null;
  if (!done?.ok || !step) throw new Error("refused");
  expect(settingLeft(done.value, step)).toBeNull();
  expect(visitSteps(done.value).some((one) => one.id === step.id)).toBe(false);
});
