"use client";

import type { Remote } from "comlink";
import { useMemo } from "react";
import type { Job } from "@/core/job";
import type { Proposal } from "@/core/room";
import { useWorker, type Working } from "@/ui/kit";
import type { RoomWorker } from "@/workers/room-worker";

interface Question {
  readonly job: Job;
  readonly room: string;
}

const PROPOSALS = {
  start: () => new Worker(new URL("../../workers/room-worker.ts", import.meta.url), { type: "module" }),
  ask: async (api: Remote<RoomWorker>, { job, room }: Question) => api.propose(job, room),
};

export type Proposing = Working<readonly Proposal[] | null>;

/** Proposes places for all units of a room, in a worker; null asks nothing. */
export function useProposals(job: Job | null, room: string | null): Proposing {
  const question = useMemo(() => (job && room ? { job, room } : null), [job, room]);
  return useWorker<RoomWorker, Question, readonly Proposal[] | null>(question, PROPOSALS);
}
