"use client";

import { wrap } from "comlink";
import { useEffect, useState } from "react";
import type { Job } from "@/core/job";
import type { SmallestChanges, WeighedChange } from "@/core/plan";
import type { ChangesWorker } from "@/workers/changes-worker";

/** What would move something of a job: every single change, and the smallest set that lifts all; each null while it is being reckoned. */
export interface Changes {
  readonly single: readonly WeighedChange[] | null;
  readonly smallest: SmallestChanges | null;
}

const NONE: Changes = { single: null, smallest: null };

/** Reckons the changes of a job aside. An answer for an older job is never shown. */
export function useChanges(job: Job): Changes {
  const [answer, setAnswer] = useState<Changes & { readonly job: Job }>({ job, ...NONE });
  useEffect(() => {
    const worker = new Worker(new URL("../../workers/changes-worker.ts", import.meta.url), { type: "module" });
    let wanted = true;
    const reckon = async () => {
      const { weighedChanges, smallestChanges } = wrap<ChangesWorker>(worker);
      const single = await weighedChanges(job);
      if (wanted) setAnswer({ job, single, smallest: null });
      const smallest = await smallestChanges(job);
      if (wanted) setAnswer({ job, single, smallest });
      worker.terminate();
    };
    void reckon();
    return () => {
      wanted = false;
      worker.terminate();
    };
  }, [job]);
  return answer.job === job ? answer : NONE;
}
