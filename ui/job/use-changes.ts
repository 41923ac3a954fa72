"use client";

import { wrap } from "comlink";
import { useEffect, useMemo, useState } from "react";
import type { Job } from "@/core/job";
import { boxesAtHand } from "@/core/stock";
import { useStock } from "@/ui/stock";
import type { SmallestChanges, WeighedChange } from "@/core/plan";
import type { ChangesWorker } from "@/workers/changes-worker";

/** What would move something of a job: every single change, and the smallest set that lifts all; each null while it is being calculated. */
export interface Changes {
  readonly single: readonly WeighedChange[] | null;
  readonly smallest: SmallestChanges | null;
}

const NONE: Changes = { single: null, smallest: null };

/** Calculates the changes of a job aside, with the boxes that the van has to spare. An answer for an older job or another van is never shown. */
export function useChanges(job: Job): Changes {
  const stock = useStock();
  const boxes = useMemo(() => (stock ? boxesAtHand(job, stock.items, stock.free).join(" ") : null), [job, stock]);
  const [answer, setAnswer] = useState<Changes & { readonly job: Job; readonly boxes: string | null }>({ job, boxes: null, ...NONE });
  useEffect(() => {
    if (boxes === null) return;
    const worker = new Worker(new URL("../../workers/changes-worker.ts", import.meta.url), { type: "module" });
    let wanted = true;
    const reckon = async () => {
      const { weighedChanges, smallestChanges } = wrap<ChangesWorker>(worker);
      const single = await weighedChanges(job);
      if (wanted) setAnswer({ job, boxes, single, smallest: null });
      const smallest = await smallestChanges(job, { boxes: boxes.split(" ").filter(Boolean) });
      if (wanted) setAnswer({ job, boxes, single, smallest });
      worker.terminate();
    };
    void reckon();
    return () => {
      wanted = false;
      worker.terminate();
    };
  }, [job, boxes]);
  return answer.job === job && answer.boxes === boxes ? answer : NONE;
}
