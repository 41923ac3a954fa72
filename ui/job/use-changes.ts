"use client";

import { wrap } from "comlink";
import { useEffect, useState } from "react";
import type { Job } from "@/core/job";
import type { WeighedChange } from "@/core/plan";
import type { ChangesWorker } from "@/workers/changes-worker";

/** The changes that would lift something of a job, reckoned aside; null while that goes on. An answer for an older job is never shown. */
export function useChanges(job: Job): readonly WeighedChange[] | null {
  const [answer, setAnswer] = useState<{ job: Job; changes: readonly WeighedChange[] } | null>(null);
  useEffect(() => {
    const worker = new Worker(new URL("../../workers/changes-worker.ts", import.meta.url), { type: "module" });
    let wanted = true;
    void wrap<ChangesWorker>(worker)
      .liftingChanges(job)
      .then((changes) => wanted && setAnswer({ job, changes }))
      .finally(() => worker.terminate());
    return () => {
      wanted = false;
      worker.terminate();
    };
  }, [job]);
  return answer?.job === job ? answer.changes : null;
}
