"use client";

import { wrap, type Remote } from "comlink";
import { useCallback, useEffect, useRef, useState } from "react";
import type { Job } from "@/core/job";
import type { Level } from "@/core/practice";
import type { RigReport, ScoreReport } from "@/core/report";
import type { PracticeWorker, TakenShown } from "@/workers/practice-worker";
import { startPracticeWorker } from "./in-practice-worker";

/** Which rig is wanted. */
export interface RigWish {
  readonly seed: number;
  readonly level: Level;
  readonly job: Job | null;
}

export interface RigInHand {
  readonly state: "making" | "ready" | "no-fault" | "failed";
  readonly rig: RigReport | null;
  readonly line: readonly TakenShown[];
  readonly score: ScoreReport | null;
  readonly take: (check: string) => void;
  readonly giveUp: () => void;
}

/** A rig in a worker of its own: it answers each step, and scores the line once the fault is mended or given up. */
export function useRig(wish: RigWish): RigInHand {
  const api = useRef<Remote<PracticeWorker> | null>(null);
  const [state, setState] = useState<RigInHand["state"]>("making");
  const [rig, setRig] = useState<RigReport | null>(null);
  const [line, setLine] = useState<readonly TakenShown[]>([]);
  const [score, setScore] = useState<ScoreReport | null>(null);
  useEffect(() => {
    const worker = startPracticeWorker();
    let isWanted = true;
    const fail = () => {
      if (isWanted) setState("failed");
    };
    worker.addEventListener("error", fail);
    const remote = wrap<PracticeWorker>(worker);
    api.current = remote;
    remote.open(wish.seed, wish.level, wish.job).then((made) => {
      if (!isWanted) return;
      setRig(made);
      setState(made ? "ready" : "no-fault");
    }, fail);
    return () => {
      isWanted = false;
      api.current = null;
      worker.terminate();
    };
  }, [wish]);
  const finish = useCallback(async () => {
    const found = await api.current?.score();
    if (found) setScore(found);
  }, []);
  const take = useCallback(
    (check: string) => {
      const go = async () => {
        const taken = await api.current?.take(check);
        if (!taken) return;
        setLine((before) => [...before, taken]);
        if (taken.step.answer === "mended") await finish();
      };
      void go();
    },
    [finish],
  );
  return { state, rig, line, score, take, giveUp: () => void finish() };
}
