import { expect, test } from "vitest";
import { householdOf } from "@/core/cec";
import { finderOf, foundIn } from "@/core/diagnose";
import { dueOf, visitsOf } from "@/core/handover";
import { readJob } from "@/core/job";
import { proofChecks } from "@/core/proof";
import { demoJobWithHistory } from "./demo-history";
import { demoJobNames } from "./demo-jobs";

test.each(demoJobNames())("the history of %s reads as a job file does, and names only checks and faults that the job has", (name) => {
  const job = demoJobWithHistory(name);
  const read = readJob(JSON.parse(JSON.stringify(job)));
  expect(read.ok ? read.value : read.refusal).toEqual(job);
  const checks = new Set(proofChecks(job, householdOf(job, "planned")).map(({ id }) => id));
  for (const { step, sees } of job.record) if (sees !== null) expect(checks).toContain(step);
  const found = foundIn(job.record);
  if (found.length) {
    const { played, singles } = finderOf(job);
    for (const id of found) expect(played.map(({ fault }) => fault.id)).toContain(id);
    for (const { fix } of job.record) {
      if (fix?.step === "symptom") expect(singles.symptoms.map(({ id }) => id)).toContain(fix.id);
      if (fix?.step === "check") expect(singles.cures.map(({ id }) => id)).toContain(fix.id);
    }
  }
  expect(new Set(job.record.map(({ id }) => id)).size).toBe(job.record.length);
  if (visitsOf(job.record).some(({ handedOver }) => handedOver)) expect(dueOf(job, job.record).length).toBeGreaterThan(0);
});
