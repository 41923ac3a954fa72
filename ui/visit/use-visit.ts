"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { v4 as newId } from "uuid";
import { VisitEntry } from "@/core/job";
import { useIntents, useJob, useJobNews } from "@/ui/job";
import { useKeptPages } from "@/ui/kit";
import { useOwnName } from "./own-name";
import { sendPhotos } from "./photo-queue";
import { EMPTY_RECORD, keepRecord, keptRecord, syncRecord, withEntry, type VisitRecord } from "./visit-store";

/** Others may tick on another device; their ticks are fetched so often while the page is open. */
const EVERY_MS = 8000;

/** What a person enters of a step; what they leave out is nothing. */
export type Entered = Pick<VisitEntry, "step" | "state"> & Partial<Omit<VisitEntry, "id" | "step" | "state" | "at" | "who">>;

export interface Visit {
  readonly record: VisitRecord;
  /** What was done before is known: from this device, or because the server answered or could not be asked. */
  readonly isKnown: boolean;
  readonly enter: (entered: Entered) => void;
}

/** The record of a job's visits: ticks count at once, are kept over a reload, and go to the server when there is one. */
export function useVisit(job: string): Visit {
  useKeptPages(job);
  const [record, setRecord] = useState<VisitRecord>(EMPTY_RECORD);
  const [isKnown, setKnown] = useState(false);
  const latest = useRef(record);
  const { edit, say } = useIntents();
  const tellNews = useJobNews();
  const attached = useJob((state) => state.job.attachments);
  const known = useRef(attached);
  const isSending = useRef(false);
  useEffect(() => {
    known.current = attached;
  }, [attached]);
  const [who] = useOwnName();
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
    // Shown with the answer, or with what this device keeps; not only once photos are sent too.
    setKnown(true);
    if (!answered) return;
    // What was ticked while the answer was on its way is still unsent.
    const since = latest.current.entries.filter(({ id }) => !sent.entries.some((entry) => entry.id === id));
    const next = since.reduce(withEntry, answered.record);
    // Entries are only ever added: as many as before are the same ones, and the page has nothing to work out again.
    const { entries, unsent } = latest.current;
    if (next.entries.length !== entries.length || next.unsent.length !== unsent.length) keep(next);
    tellNews(answered.revision);
    // One round sends them; the next look at the server sends what came since.
    if (isSending.current) return;
    isSending.current = true;
    const [told] = await sendPhotos(job, (attachment) => {
      if (known.current.every(({ id }) => id !== attachment.id)) edit({ kind: "attach", attachment, at: null });
    }).finally(() => (isSending.current = false));
    if (told) say(told);
  }, [job, keep, tellNews, edit, say]);
  useEffect(() => {
    let isHere = true;
    void keptRecord(job).then((kept) => {
      if (!isHere) return;
      keep(
        latest.current.entries.reduce((all, entry) => (all.entries.some(({ id }) => id === entry.id) ? all : withEntry(all, entry)), kept),
      );
      if (kept.entries.length > 0) setKnown(true);
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
  const enter = useCallback(
    (entered: Entered) => {
      const entry = VisitEntry.parse({ ...entered, id: newId(), at: new Date().toISOString(), who });
      keep(withEntry(latest.current, entry));
      void sync();
    },
    [keep, sync, who],
  );
  return { record, isKnown, enter };
}
