"use client";

import { proxy, type Remote } from "comlink";
import { useMemo } from "react";
import type { CheckedSearch } from "@/core/plan";
import { useWorker, type Working } from "@/ui/kit";
import type { PlanQuestion, PlansWorker } from "@/workers/plans-worker";

const start = () => new Worker(new URL("../../workers/plans-worker.ts", import.meta.url), { type: "module" });

/** The plans of a job, null where there is nothing to plan; on the way the points of the best plan so far. */
export type Planning = Working<CheckedSearch | null, number>;

const PLANS = {
  start,
  ask: async (api: Remote<PlansWorker>, question: PlanQuestion, tell: (points: number) => void) => api.plan(question, proxy(tell)),
};

/** Plans a job in a worker; stopping ends the work at once. */
export const usePlans = (question: PlanQuestion | null): Planning => useWorker(question, PLANS);

/**
 * Asks the planner something more about a question, in a worker of its own.
 * @param about what is asked; null: nothing
 * @param ask how it is asked; the same function every time
 */
export function usePlanner<About, Answer>(
  question: PlanQuestion | null,
  about: About | null,
  ask: (planner: Remote<PlansWorker>, question: PlanQuestion, about: About) => Promise<Answer>,
): Working<Answer> {
  const asked = useMemo(() => (question && about !== null ? { question, about } : null), [question, about]);
  const asking = useMemo(
    () => ({
      start,
      ask: (api: Remote<PlansWorker>, one: { readonly question: PlanQuestion; readonly about: About }) => ask(api, one.question, one.about),
    }),
    [ask],
  );
  return useWorker(asked, asking);
}
