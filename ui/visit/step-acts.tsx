"use client";

import { Button } from "antd";
import Link from "next/link";
import { poweredOtherwise, type VisitStep } from "@/core/visit";
import { useIntents } from "@/ui/job";
import { visitWords } from "@/ui/words";
import styles from "./visit.module.css";

/** What can be changed about a step itself: its place among those that get power, an added step, the way to the proof of the acts. */
export function StepActs({ jobId, step, steps }: { jobId: string; step: VisitStep; steps: readonly VisitStep[] }) {
  const { edit } = useIntents();
  if (step.act === "acts") return <Link href={`/jobs/${jobId}/prove`}>{visitWords.prove}</Link>;
  if (step.act === "by-hand")
    return <Button onClick={() => edit({ kind: "remove-step", step: step.id.slice("by-hand ".length) })}>{visitWords.removeStep}</Button>;
  const { device } = step;
  if (step.act !== "power-on" || device === null) return null;
  const move = (by: -1 | 1) => edit({ kind: "edit-visit", fields: { powerOrder: poweredOtherwise(steps, device, by) } });
  return (
    <p className={styles.ways}>
      <Button onClick={() => move(-1)}>{visitWords.earlier}</Button>
      <Button onClick={() => move(1)}>{visitWords.later}</Button>
    </p>
  );
}
