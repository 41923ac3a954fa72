"use client";

import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from "react";
import { useStore } from "zustand";
import type { Command, Job } from "@/core/job";
import { startSaving } from "./job-saver";
import { jobWords } from "@/ui/words";
import { createJobStore, edit, redo, settle, takeBackUnsaved, undo, type Conflict, type JobState, type JobStore } from "./job-store";

const JobContext = createContext<JobStore | null>(null);

/** Holds the open job while its places are visited, and saves it. */
export function JobProvider({
  initial,
  children,
}: {
  initial: { id: string; job: Job; revision: number; updatedAt: string };
  children: ReactNode;
}) {
  const [store] = useState(() => createJobStore(initial));
  useEffect(() => startSaving(store), [store]);
  return <JobContext value={store}>{children}</JobContext>;
}

/** The store of the open job itself, for what is asked at the moment of a press. */
export function useJobStore(): JobStore {
  const store = useContext(JobContext);
  if (!store) throw new Error("This needs a JobProvider around it");
  return store;
}

/** Reads a part of the open job. */
export function useJob<Part>(select: (state: JobState) => Part): Part {
  return useStore(useJobStore(), select);
}

/** Tells the windows of the open job, this one too, that the server has it at another revision: each fetches it when it has nothing of its own to save. */
export function useJobNews(): (revision: number) => void {
  const store = useJobStore();
  return useCallback(
    (revision: number) => {
      const { id, revision: here } = store.getState();
      if (revision <= here) return;
      const channel = new BroadcastChannel(`octachord-job-${id}`);
      channel.postMessage({ revision, words: jobWords.notedFromVisit });
      channel.close();
    },
    [store],
  );
}

/** The intents of the open job: propose an edit, take it back, clear a notice. */
export function useIntents() {
  const store = useJobStore();
  return useMemo(
    () => ({
      edit: (command: Command) => edit(store, command),
      undo: () => undo(store),
      redo: () => redo(store),
      settle: (conflict: Conflict, whose: "mine" | "theirs") => settle(store, conflict, whose),
      takeBack: () => takeBackUnsaved(store),
      clearNotice: () => store.setState({ notice: null }),
      say: (notice: string) => store.setState({ notice }),
    }),
    [store],
  );
}
