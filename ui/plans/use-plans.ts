"use client";

import { proxy, wrap, type Remote } from "comlink";
import { useEffect, useRef, useState } from "react";
import type { PlanSearch } from "@/core/plan";
import type { PlanQuestion, PlansWorker } from "@/workers/plans-worker";

export type Planning =
  | { readonly state: "looking"; readonly points: number | null }
  | { readonly state: "stopped" }
  | { readonly state: "nothing" }
  | { readonly state: "found"; readonly found: PlanSearch };

const LOOKING: Planning = { state: "looking", points: null };

const newWorker = () => new Worker(new URL("../../workers/plans-worker.ts", import.meta.url), { type: "module" });

/** Plans a job aside. An answer for an older question is never shown; stopping ends the work at once. */
export function usePlans(question: PlanQuestion | null) {
  const stopper = useRef<() => void>(() => undefined);
  const [round, setRound] = useState(0);
  const [answer, setAnswer] = useState<{ readonly question: PlanQuestion; readonly round: number; readonly planning: Planning } | null>(
    null,
  );
  useEffect(() => {
    if (!question) return;
    const worker = newWorker();
    let wanted = true;
    const say = (planning: Planning) => {
      if (wanted) setAnswer({ question, round, planning });
    };
    void wrap<PlansWorker>(worker)
      .plan(
        question,
        proxy((points: number) => say({ state: "looking", points })),
      )
      .then((found) => {
        say(found ? { state: "found", found } : { state: "nothing" });
        worker.terminate();
      });
    stopper.current = () => {
      say({ state: "stopped" });
      wanted = false;
      worker.terminate();
    };
    return () => {
      wanted = false;
      worker.terminate();
    };
  }, [question, round]);
  const isCurrent = answer !== null && answer.question === question && answer.round === round;
  return {
    planning: isCurrent ? answer.planning : LOOKING,
    stop: () => stopper.current(),
    again: () => setRound(round + 1),
  };
}

/**
 * Asks the planner something more about a question, in a worker of its own. Undefined while it is worked out, or while nothing is asked.
 * @param about what is asked; null: nothing
 * @param ask how it is asked; the same function every time
 */
export function usePlanner<About, Answer>(
  question: PlanQuestion | null,
  about: About | null,
  ask: (planner: Remote<PlansWorker>, question: PlanQuestion, about: About) => Promise<Answer>,
): Answer | undefined {
  const [answer, setAnswer] = useState<{ readonly question: PlanQuestion; readonly about: About; readonly value: Answer } | null>(null);
  useEffect(() => {
    if (!question || about === null) return;
    const worker = newWorker();
    let wanted = true;
    void ask(wrap<PlansWorker>(worker), question, about).then((value) => {
      if (wanted) setAnswer({ question, about, value });
      worker.terminate();
    });
    return () => {
      wanted = false;
      worker.terminate();
    };
  }, [question, about, ask]);
  return answer?.question === question && answer?.about === about ? answer?.value : undefined;
}
