"use client";

import { Button } from "antd";
import type { Remote } from "comlink";
import type { WishConflict } from "@/core/plan";
import { conflictOfWishes } from "@/core/text";
import { useJob } from "@/ui/job";
import { plansWords } from "@/ui/words";
import type { PlanQuestion, PlansWorker } from "@/workers/plans-worker";
import styles from "./plans.module.css";
import { usePlanner } from "./use-plans";

const askConflict = async (planner: Remote<PlansWorker>, question: PlanQuestion): Promise<WishConflict> => planner.conflict(question);

/** Where no plan keeps to all that is wanted: the smallest set of hard wishes that cannot all be had. */
export function Conflict({ question, onLetGo }: { question: PlanQuestion; onLetGo: () => void }) {
  const job = useJob((state) => state.job);
  const hasMusts = job.brief.musts.length + job.brief.mustStay.length > 0;
  const conflict = usePlanner(question, hasMusts ? askConflict : null, askConflict);
  return (
    <section className={styles.notHere} aria-label={plansWords.conflict}>
      {hasMusts ? <p role="status">{conflict ? conflictOfWishes(job, conflict) : plansWords.lookingForConflict}</p> : null}
      <Button onClick={onLetGo}>{plansWords.letGo}</Button>
    </section>
  );
}
