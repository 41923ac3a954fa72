import { describe, expect, test } from "vitest";
import { householdOf } from "@/core/cec";
import { VisitEntry, type Job } from "@/core/job";
import { proofChecks } from "@/core/proof";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { runSheet, USUAL_MINUTES } from "@/core/visit";
import { visitBrief } from "./visit-brief";

const entry = (n: number, step: string, rest: Partial<VisitEntry> = {}): VisitEntry =>
  VisitEntry.parse({
    id: `5b0c7bb0-6f1f-4c5b-8c2a-${String(n).padStart(12, "0")}`,
    step,
    state: "done",
    at: `2026-11-27T10:00:${String(n % 60).padStart(2, "0")}.000Z`,
    ...rest,
  });
const briefOf = (job: Job, record: readonly VisitEntry[] = []) => visitBrief(job, record, USUAL_MINUTES);

describe.each(demoJobNames())("the brief of %s", (name) => {
  const job = { ...demoJob(name), record: [] };
  const { people } = job.visit;
  const sheet = runSheet(job, people, USUAL_MINUTES, []);

  test("counts the minutes and the steps that are left, and all of them before anything was done", () => {
    expect(briefOf(job)).toMatchObject({ stepsLeft: sheet.steps.length, minutes: Math.ceil(sheet.minutes) });
  });

  test("counts less with every step that is done, and nothing once all are", () => {
    const record = sheet.steps.map(({ id }, index) => entry(index, id));
    const half = briefOf(job, record.slice(0, Math.ceil(record.length / 2)));
    expect(half.stepsLeft).toBe(sheet.steps.length - Math.ceil(record.length / 2));
    expect(half.minutes).toBeLessThanOrEqual(briefOf(job).minutes);
    expect(briefOf(job, record)).toMatchObject({ stepsLeft: 0, minutes: 0, tools: [] });
  });

  test("a step that was tried and not done is still to be done", () => {
    const [first] = sheet.steps;
    if (!first) return;
    expect(briefOf(job, [entry(1, first.id, { state: "not-done" })]).stepsLeft).toBe(sheet.steps.length);
  });

  test("names every part that is to be bought, and none that is there", () => {
    const bought = [...job.devices, ...job.cables].filter(({ supply }) => supply === "buy");
    expect(briefOf(job).buy).toHaveLength(bought.length);
  });

  test("counts what was seen as predicted, and what was seen otherwise", () => {
    const checks = proofChecks(job, householdOf(job, "planned"));
    const [one, other] = checks;
    if (!one || !other) throw new Error("nothing to prove");
    const before = briefOf(job);
    const after = briefOf(job, [entry(1, one.id, { sees: "as-predicted" }), entry(2, other.id, { sees: "silent" })]);
    expect(before.checks).toBe(checks.length);
    expect(after.proof.proven - before.proof.proven).toBe(1);
    expect(after.proof.otherwise - before.proof.otherwise).toBe(1);
  });
});
