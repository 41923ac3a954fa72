"use client";

import { Button } from "antd";
import type { Remote } from "comlink";
import type { WishConflict } from "@/core/plan";
import { conflictOfWishes } from "@/core/text";
import { useJob } from "@/ui/job";
import { answerOf, WorkNote } from "@/ui/kit";
import { plansWords } from "@/ui/words";
import type { PlanQuestion, PlansWorker } from "@/workers/plans-worker";
import styles from "./plans.module.css";
import { usePlanner } from "./use-plans";

const askConflict = async (planner: Remote<PlansWorker>, question: PlanQuestion): Promise<WishConflict> => planner.conflict(question);

/** Where no plan keeps to all that is wanted: the smallest set of hard wishes that cannot all be had. */
export function Conflict({ question, onLetGo }: { question: PlanQuestion; onLetGo: () => void }) {
  const job = useJob((state) => state.job);
  const hasMusts = job.brief.musts.length + job.brief.mustStay.length > 0;
  const working = usePlanner(question, hasMusts ? askConflict : null, askConflict);
  const conflict = answerOf(working.work);
  return (
    <section className={styles.notHere} aria-label={plansWords.conflict}>
      {conflict ? (
        <p role="status">{conflictOfWishes(job, conflict)}</p>
      ) : (
        <WorkNote working={working} words={plansWords.lookingForConflict} />
      )}
      <Button onClick={onLetGo}>{plansWords.letGo}</Button>
    </section>
  );
}
