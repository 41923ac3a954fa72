"use client";

import { wrap, type Remote } from "comlink";
import { useEffect, useState } from "react";
import type { Cure, WeighedCure } from "@/core/cec";
import type { Job } from "@/core/job";
import type { ControlWorker, Played } from "@/workers/control-worker";

/** Asks the control worker aside; null while it calculates. An answer to an older question is never shown. */
function useAside<Answer>(job: Job, question: string, ask: (worker: Remote<ControlWorker>) => Promise<Answer>): Answer | null {
  const [answer, setAnswer] = useState<{ readonly job: Job; readonly question: string; readonly value: Answer } | null>(null);
  useEffect(() => {
    const worker = new Worker(new URL("../../workers/control-worker.ts", import.meta.url), { type: "module" });
    let wanted = true;
    void ask(wrap<ControlWorker>(worker)).then((value) => {
      if (wanted) setAnswer({ job, question, value });
      worker.terminate();
    });
    return () => {
      wanted = false;
      worker.terminate();
    };
    // What is asked is told by the job and the question; the function that asks is new with every paint.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [job, question]);
  return answer?.job === job && answer.question === question ? answer.value : null;
}

/** What would make an act better; null while it is being played. */
export const useActCures = (job: Job, event: string): Played<Cure> | null => useAside(job, event, (worker) => worker.actCures(job, event));

/** What would make the everyday acts of a job better; null while they are being played. */
export const useRoomCures = (job: Job): Played<WeighedCure> | null => useAside(job, "room", (worker) => worker.roomCures(job));
