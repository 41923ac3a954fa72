"use client";

import { wrap, type Remote } from "comlink";
import { useEffect, useRef, useState } from "react";
import type { FirmFaults, Observed } from "@/core/diagnose";
import type { Job, VisitEntry } from "@/core/job";
import type { DiagnoseWorker, RoomInTrouble, SearchStand } from "@/workers/diagnose-worker";

/** A search, as far as the worker has answered. */
export interface Search {
  /** Null while the faults of the room are being played. */
  readonly room: RoomInTrouble | null;
  /** Null while the next check is being chosen, and before there is a complaint. */
  readonly stand: SearchStand | null;
  readonly hasFailed: boolean;
  /** Reads a pasted EDID or trace: the answer that it gives, or a sentence why it gives none. */
  readonly paste: (check: string, text: string) => Promise<{ readonly answer: string } | { readonly says: string } | null>;
}

/**
 * Keeps one worker for a job, in which all its faults were played, and asks it where the search stands after each answer. An edit of the job plays
 * them again. Answers to older questions are dropped.
 */
export function useSearch(
  job: Job,
  firm: FirmFaults,
  last: readonly VisitEntry[],
  symptoms: readonly string[],
  observed: readonly Observed[],
): Search {
  const worker = useRef<{ readonly api: Remote<DiagnoseWorker>; readonly opened: Promise<RoomInTrouble> } | null>(null);
  const [room, setRoom] = useState<{ readonly job: Job; readonly room: RoomInTrouble } | null>(null);
  const [told, setTold] = useState<{ readonly key: string; readonly stand: SearchStand | null } | null>(null);
  const [hasFailed, setFailed] = useState(false);
  const proven = useRef(last);
  useEffect(() => {
    proven.current = last;
  }, [last]);
  useEffect(() => {
    const started = new Worker(new URL("../../workers/diagnose-worker.ts", import.meta.url), { type: "module" });
    let isWanted = true;
    const fail = () => {
      if (isWanted) setFailed(true);
    };
    started.addEventListener("error", fail);
    const api = wrap<DiagnoseWorker>(started);
    const opened = api.open(job, firm, [...proven.current]);
    worker.current = { api, opened };
    opened.then((found) => {
      if (isWanted) setRoom({ job, room: found });
    }, fail);
    return () => {
      isWanted = false;
      worker.current = null;
      started.terminate();
    };
  }, [job, firm]);
  const key = JSON.stringify([symptoms, observed]);
  const isAsked = symptoms.length + observed.length > 0;
  useEffect(() => {
    const current = worker.current;
    if (!isAsked || !current) return;
    let isWanted = true;
    const [asked, seen] = JSON.parse(key) as [string[], Observed[]];
    const answer = async () => {
      await current.opened;
      const stand: SearchStand | null = await current.api.stand(asked, seen);
      if (isWanted) setTold({ key, stand });
    };
    // A worker that has ended answers nothing more; the next one is asked again.
    answer().catch(() => undefined);
    return () => {
      isWanted = false;
    };
  }, [key, isAsked, job, firm]);
  return {
    room: room?.job === job ? room.room : null,
    stand: isAsked && told?.key === key ? told.stand : null,
    hasFailed,
    paste: async (check, text) => {
      const current = worker.current;
      return current ? current.api.pasted(check, text) : null;
    },
  };
}
