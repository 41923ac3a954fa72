"use client";

import type { Remote } from "comlink";
import { useMemo } from "react";
import type { Cure, WeighedCure } from "@/core/cec";
import type { Job } from "@/core/job";
import { useWorker, type Working } from "@/ui/kit";
import type { ControlWorker, Played } from "@/workers/control-worker";

const start = () => new Worker(new URL("../../workers/control-worker.ts", import.meta.url), { type: "module" });

const OF_ACT = {
  start,
  ask: async (api: Remote<ControlWorker>, { job, event }: { readonly job: Job; readonly event: string }): Promise<Played<Cure>> =>
    api.actCures(job, event),
};
const OF_ROOM = { start, ask: async (api: Remote<ControlWorker>, job: Job): Promise<Played<WeighedCure>> => api.roomCures(job) };

/** What would make an act of a job better. */
export function useActCures(job: Job, event: string): Working<Played<Cure>> {
  return useWorker(
    useMemo(() => ({ job, event }), [job, event]),
    OF_ACT,
  );
}

/** What would make the everyday acts of a job better. */
export const useRoomCures = (job: Job): Working<Played<WeighedCure>> => useWorker(job, OF_ROOM);
