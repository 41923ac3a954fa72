"use client";

import type { Remote } from "comlink";
import { useMemo } from "react";
import type { Job } from "@/core/job";
import type { BassSpot, Proposal } from "@/core/room";
import { useWorker, type Working } from "@/ui/kit";
import type { RoomWorker } from "@/workers/room-worker";

interface Question {
  readonly job: Job;
  readonly room: string;
}

const start = () => new Worker(new URL("../../workers/room-worker.ts", import.meta.url), { type: "module" });

const SPOTS = { start, ask: async (api: Remote<RoomWorker>, { job, room }: Question) => api.bassSpots(job, room) };

const PROPOSALS = {
  start,
  ask: async (api: Remote<RoomWorker>, { job, room }: Question) => api.propose(job, room),
};

export type Proposing = Working<readonly Proposal[] | null>;

/** Proposes places for all units of a room, in a worker; null asks nothing. */
export function useProposals(job: Job | null, room: string | null): Proposing {
  const question = useMemo(() => (job && room ? { job, room } : null), [job, room]);
  return useWorker<RoomWorker, Question, readonly Proposal[] | null>(question, PROPOSALS);
}

/** The most even places for the subwoofer, worked out in a worker. */
export function useBassSpots(job: Job, room: string): Working<readonly BassSpot[]> {
  const question = useMemo(() => ({ job, room }), [job, room]);
  return useWorker<RoomWorker, Question, readonly BassSpot[]>(question, SPOTS);
}
