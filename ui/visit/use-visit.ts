"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { v4 as newId } from "uuid";
import { VisitEntry } from "@/core/job";
import { useIntents, useJob, useJobNews } from "@/ui/job";
import { useKeptPages } from "@/ui/kit";
import { useOwnName } from "./own-name";
import { sendPhotos } from "./photo-queue";
import { EMPTY_RECORD, type VisitRecord } from "./visit-store";
import { startVisit, type VisitSync } from "./visit-sync";

/** What a person enters of a step; what they leave out is nothing. */
export type Entered = Pick<VisitEntry, "step" | "state"> & Partial<Omit<VisitEntry, "id" | "step" | "state" | "at" | "who">>;

export interface Visit {
  readonly record: VisitRecord;
  /** What was done before is known: from this device, or because the server answered or could not be asked. */
  readonly isKnown: boolean;
  readonly enter: (entered: Entered) => void;
}

/** The record of a job's visits: ticks count at once, are kept over a reload, and go to the server when there is one; photos follow them. */
export function useVisit(job: string): Visit {
  useKeptPages(job);
  const [record, setRecord] = useState<VisitRecord>(EMPTY_RECORD);
  const [isKnown, setKnown] = useState(false);
  const running = useRef<VisitSync>(null);
  const tellNews = useJobNews();
  const photos = usePhotoSending(job);
  const [who] = useOwnName();
  useEffect(() => {
    const onAnswer = (revision: number) => {
      tellNews(revision);
      photos();
    };
    const visit = startVisit(job, { onRecord: setRecord, onKnown: () => setKnown(true), onAnswer });
    running.current = visit;
    return () => visit.stop();
  }, [job, tellNews, photos]);
  const enter = useCallback(
    (entered: Entered) => {
      const entry = VisitEntry.parse({ ...entered, id: newId(), at: new Date().toISOString(), who });
      running.current?.enter(entry);
    },
    [who],
  );
  return { record, isKnown, enter };
}

/** Sends the photos that wait on this device, one round at a time: the next round sends what came since. */
function usePhotoSending(job: string): () => void {
  const { edit, say } = useIntents();
  const attached = useJob((state) => state.job.attachments);
  const known = useRef(attached);
  const isSending = useRef(false);
  useEffect(() => {
    known.current = attached;
  }, [attached]);
  return useCallback(() => {
    if (isSending.current) return;
    isSending.current = true;
    void sendPhotos(job, (attachment) => {
      if (known.current.every(({ id }) => id !== attachment.id)) edit({ kind: "attach", attachment, at: null });
    })
      .then(([told]) => told && say(told))
      .finally(() => (isSending.current = false));
  }, [job, edit, say]);
}
