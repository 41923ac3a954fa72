"use client";

import type { Remote } from "comlink";
import { useMemo } from "react";
import type { FirmFaults } from "@/core/diagnose";
import type { HouseholdSheet, SheetSource } from "@/core/handover";
import type { Job } from "@/core/job";
import { answerOf, useWorker } from "@/ui/kit";
import { usePreferences } from "@/ui/preferences";
import type { HandoverWorker } from "@/workers/handover-worker";

interface Question {
  readonly job: Job;
  readonly source: SheetSource;
}
export const startHandover = () => new Worker(new URL("../../workers/handover-worker.ts", import.meta.url), { type: "module" });
const ask = (api: Remote<HandoverWorker>, { job, source }: Question) => api.sheet(job, source);

/** What the sheet is made from: an own sentence changes nothing of it. */
const partsOf = ({ devices, cables, rooms, brief, name }: Job): string => JSON.stringify([devices, cables, rooms, brief, name]);

/** The household's sheet of the job; null while it is made. */
export function useSheet(job: Job, faults: FirmFaults): { readonly sheet: HouseholdSheet | null; readonly hasFailed: boolean } {
  const { firm } = usePreferences();
  const parts = partsOf(job);
  const question = useMemo(
    () => (job.devices.length ? { job, source: { firm, faults } } : null),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- made again only where what it is made from has changed
    [parts, firm, faults],
  );
  const { work } = useWorker<HandoverWorker, Question, HouseholdSheet>(question, { start: startHandover, ask });
  return { sheet: answerOf(work), hasFailed: work.state === "failed" };
}
