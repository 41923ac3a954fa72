import type { Job, VisitEntry } from "@/core/job";
import { differenceOf } from "./differences";
import { afterOf } from "./order";
import type { StepAfter, VisitStep } from "./step";
import { workOf } from "./what-to-do";

/**
 * Every step of a visit, with what must come before each and why: derived from the difference between as found and planned, what every visit
 * needs, and what a person added. The same job gives the same steps with the same ids.
 * @param record what was done so far: where a cable was plugged for a plan that has changed since, it comes out again
 */
export function visitSteps(job: Job, record: readonly VisitEntry[] = []): readonly VisitStep[] {
  const drafts = workOf(job, differenceOf(job, record));
  return withHandover(
    withAdded(
      job,
      drafts.map((step): VisitStep => ({ ...step, after: afterOf(step, drafts) })),
    ),
  );
}

/** Steps added by hand between those where they were put, as far as these are there and no circle comes of it. */
function withAdded(job: Job, steps: readonly VisitStep[]): readonly VisitStep[] {
  return job.visit.added.reduce((all, { id, after, before }) => {
    const own = `by-hand ${id}`;
    const withFirst = after === null ? all : withEdge(all, own, after);
    return before === null ? withFirst : withEdge(withFirst, before, own);
  }, steps);
}

/** With one step after another; unchanged where either is missing or they would follow each other in a circle. */
function withEdge(steps: readonly VisitStep[], step: string, after: string): readonly VisitStep[] {
  if (!steps.some(({ id }) => id === step) || !steps.some(({ id }) => id === after) || comesBefore(steps, step, after)) return steps;
  const edge: StepAfter = { step: after, because: "put-there" };
  return steps.map((one) => (one.id === step ? { ...one, after: [...one.after, edge] } : one));
}

/** Whether one step comes before another, near or far, or is it. */
function comesBefore(steps: readonly VisitStep[], step: string, of: string): boolean {
  const byId = new Map(steps.map((one) => [one.id, one]));
  const seen = new Set<string>();
  const walk = (id: string): boolean => {
    if (id === step) return true;
    if (seen.has(id)) return false;
    seen.add(id);
    return byId.get(id)?.after.some((one) => walk(one.step)) ?? false;
  };
  return walk(of);
}

/** The handover comes when nothing is left that something else would follow. */
function withHandover(steps: readonly VisitStep[]): readonly VisitStep[] {
  const followed = new Set(steps.flatMap(({ after }) => after.map(({ step }) => step)));
  const last = steps.filter(({ id, act }) => act !== "hand-over" && !followed.has(id) && !comesBefore(steps, "hand-over", id));
  return steps.map((step) =>
    step.act === "hand-over"
      ? { ...step, after: [...step.after, ...last.map(({ id }) => ({ step: id, because: "finish-first" as const }))] }
      : step,
  );
}
