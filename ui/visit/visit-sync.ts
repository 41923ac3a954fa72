import type { VisitEntry } from "@/core/job";
import { EMPTY_RECORD, keepRecord, keptRecord, syncRecord, withEntry, withTheirs, type VisitRecord } from "./visit-store";

/** Others may tick on another device; their ticks are fetched so often while the page is open. */
const EVERY_MS = 8000;

/** Who hears of the record of a job's visits. */
export interface VisitListener {
  /** The record as this page knows it now. */
  readonly onRecord: (record: VisitRecord) => void;
  /** What was done before is known: from this device, or because the server answered or could not be asked. */
  readonly onKnown: () => void;
  /** The server has the record, and the job at this revision. */
  readonly onAnswer: (revision: number) => void;
}

/** Where a page keeps and sends the record of a job's visits. */
export interface VisitStore {
  readonly kept: typeof keptRecord;
  readonly keep: typeof keepRecord;
  readonly sync: typeof syncRecord;
}
const STORE: VisitStore = { kept: keptRecord, keep: keepRecord, sync: syncRecord };

/** The record of a job's visits in step with this device and the server. */
export interface VisitSync {
  /** Adds an entry: it counts at once, is kept by this device, and goes to the server when there is one. */
  readonly enter: (entry: VisitEntry) => void;
  /** Looks at the server now. */
  readonly sync: () => Promise<void>;
  readonly stop: () => void;
}

/** Begins to keep a record in step: what this device has kept of it is read first, then the server is asked, again and again. */
export function startVisit(job: string, listener: VisitListener, store: VisitStore = STORE): VisitSync {
  let latest = EMPTY_RECORD;
  let isStopped = false;
  const keep = (next: VisitRecord) => {
    latest = next;
    void store.keep(job, next);
    if (!isStopped) listener.onRecord(next);
  };
  const sync = async () => {
    const answer = await store.sync(job, latest);
    if (!isStopped) listener.onKnown();
    if (!answer) return;
    const next = withTheirs(latest, answer.entries);
    // Entries are only ever added: as many as before are the same ones, and the page has nothing to work out again.
    if (next.entries.length !== latest.entries.length || next.unsent.length !== latest.unsent.length) keep(next);
    if (!isStopped) listener.onAnswer(answer.revision);
  };
  const enter = (entry: VisitEntry) => {
    keep(withEntry(latest, entry));
    void sync();
  };
  void store.kept(job).then((kept) => {
    const isFresh = ({ id }: VisitEntry) => kept.entries.every((entry) => entry.id !== id);
    keep(latest.entries.filter(isFresh).reduce(withEntry, kept));
    if (isStopped) return;
    if (kept.entries.length > 0) listener.onKnown();
    void sync();
  });
  const timer = setInterval(() => void sync(), EVERY_MS);
  const online = () => void sync();
  window.addEventListener("online", online);
  return {
    enter,
    sync,
    stop: () => {
      isStopped = true;
      clearInterval(timer);
      window.removeEventListener("online", online);
    },
  };
}
