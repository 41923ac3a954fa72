import { castOf, type Household } from "@/core/cec";
import type { Job, VisitEntry } from "@/core/job";
import { proofChecks } from "@/core/proof";
import { checkTitle, visitStepWords } from "@/core/text";
import { visitSteps } from "@/core/visit";

/** What a step of the record was, in words; its id where the job no longer has it. */
export type StepName = (step: string) => string;

/** The words of every step and every check of a job. */
export function stepNames(job: Job, household: Household, record: readonly VisitEntry[]): StepName {
  const { rows } = household.solved;
  const screen = castOf(household).screen?.nature.device;
  const names = new Map([
    ...visitSteps(job, record).map((step) => [step.id, visitStepWords(job, step, rows)] as const),
    ...proofChecks(job, household, rows).map((check) => [check.id, checkTitle(job, check, screen)] as const),
  ]);
  return (step) => names.get(step) ?? step;
}
