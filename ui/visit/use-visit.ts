"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import type { Seen } from "@/core/proof";
import type { StepState, VisitEntry } from "@/core/visit";
import { EMPTY_RECORD, keepRecord, keptRecord, syncRecord, withEntry, type VisitRecord } from "./visit-store";

/** Others may tick on another device; their ticks are fetched so often while the page is open. */
const EVERY_MS = 8000;

export interface Visit {
  readonly record: VisitRecord;
  readonly mark: (step: string, state: StepState, more: { readonly note: string; readonly sees: Seen | null }) => void;
}

/** The record of a job's visits: ticks count at once, are kept over a reload, and go to the server when there is one. */
export function useVisit(job: string): Visit {
  const [record, setRecord] = useState<VisitRecord>(EMPTY_RECORD);
  const latest = useRef(record);
  const keep = useCallback(
    (next: VisitRecord) => {
      latest.current = next;
      setRecord(next);
      void keepRecord(job, next);
    },
    [job],
  );
  const sync = useCallback(async () => {
    const sent = latest.current;
    const answered = await syncRecord(job, sent);
    if (!answered) return;
    // What was ticked while the answer was on its way is still unsent.
    const meanwhile = latest.current.entries.filter(({ id }) => !sent.entries.some((entry) => entry.id === id));
    keep(meanwhile.reduce(withEntry, answered));
  }, [job, keep]);
  useEffect(() => {
    let isHere = true;
    void keptRecord(job).then((kept) => {
      if (!isHere) return;
      keep(
        latest.current.entries.reduce((all, entry) => (all.entries.some(({ id }) => id === entry.id) ? all : withEntry(all, entry)), kept),
      );
      void sync();
    });
    const timer = setInterval(() => void sync(), EVERY_MS);
    const online = () => void sync();
    window.addEventListener("online", online);
    return () => {
      isHere = false;
      clearInterval(timer);
      window.removeEventListener("online", online);
    };
  }, [job, keep, sync]);
  const mark = useCallback(
    (step: string, state: StepState, { note, sees }: { readonly note: string; readonly sees: Seen | null }) => {
      const entry: VisitEntry = { id: crypto.randomUUID(), step, state, note, sees, at: new Date().toISOString(), who: "" };
      keep(withEntry(latest.current, entry));
      void sync();
    },
    [keep, sync],
  );
  return { record, mark };
}
