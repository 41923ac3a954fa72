"use client";

import { proxy, wrap } from "comlink";
import { useEffect, useRef, useState } from "react";
import type { Job } from "@/core/job";
import type { Bond, PlanSearch, Preset } from "@/core/plan";
import type { Stock } from "@/ui/stock";
import type { PlansWorker } from "@/workers/plans-worker";

export type Planning =
  | { readonly state: "looking"; readonly points: number | null }
  | { readonly state: "stopped" }
  | { readonly state: "nothing" }
  | { readonly state: "found"; readonly found: PlanSearch };

const LOOKING: Planning = { state: "looking", points: null };

/** Plans a job aside. An answer for an older question is never shown; stopping ends the work at once. */
export function usePlans(job: Job, preset: Preset, bonds: readonly Bond[], stock: Stock | null) {
  const stopper = useRef<() => void>(() => undefined);
  const [round, setRound] = useState(0);
  const [answer, setAnswer] = useState<{ readonly of: readonly unknown[]; readonly planning: Planning } | null>(null);
  useEffect(() => {
    if (!stock) return;
    const of = [job, preset, bonds, stock, round];
    const worker = new Worker(new URL("../../workers/plans-worker.ts", import.meta.url), { type: "module" });
    let wanted = true;
    const say = (planning: Planning) => {
      if (wanted) setAnswer({ of, planning });
    };
    void wrap<PlansWorker>(worker)
      .plan(
        { job, preset, bonds, ...stock },
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
  }, [job, preset, bonds, stock, round]);
  const isCurrent = answer !== null && [job, preset, bonds, stock, round].every((part, index) => part === answer.of[index]);
  return {
    planning: isCurrent ? answer.planning : LOOKING,
    stop: () => stopper.current(),
    again: () => setRound(round + 1),
  };
}
