"use client";

import type { Remote } from "comlink";
import { useMemo } from "react";
import type { Job } from "@/core/job";
import type { SmallestChanges, WeighedChange } from "@/core/plan";
import { boxesAtHand } from "@/core/stock";
import { useWorker, type Working } from "@/ui/kit";
import { useStock } from "@/ui/stock";
import type { ChangesWorker } from "@/workers/changes-worker";

/** What would change something of a job: every single change, and the smallest set that lifts all; each null while it is being calculated. */
export interface Changes {
  readonly single: readonly WeighedChange[] | null;
  readonly smallest: SmallestChanges | null;
  /** The calculation itself, for what is still null. */
  readonly working: Working<unknown, unknown>;
}

interface Question {
  readonly job: Job;
  readonly boxes: readonly string[];
}

const ASKING = {
  start: () => new Worker(new URL("../../workers/changes-worker.ts", import.meta.url), { type: "module" }),
  async ask(api: Remote<ChangesWorker>, { job, boxes }: Question, tell: (single: readonly WeighedChange[]) => void) {
    const single = await api.weighedChanges(job);
    tell(single);
    return { single, smallest: await api.smallestChanges(job, { boxes }) };
  },
};

/** Calculates the changes of a job in a worker, with the boxes that the van has to spare. */
export function useChanges(job: Job): Changes {
  const stock = useStock();
  const boxes = useMemo(() => (stock ? boxesAtHand(job, stock.items, stock.free).join(" ") : null), [job, stock]);
  const question = useMemo((): Question | null => (boxes === null ? null : { job, boxes: boxes.split(" ").filter(Boolean) }), [job, boxes]);
  const working = useWorker(question, ASKING);
  const { work } = working;
  if (work.state === "done") return { ...work.answer, working };
  return { single: work.state === "working" ? work.part : null, smallest: null, working };
}
