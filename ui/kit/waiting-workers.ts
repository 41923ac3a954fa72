import { wrap, type Remote } from "comlink";

/** A worker with the calls that it answers. */
export interface AtWork<Api> {
  readonly worker: Worker;
  readonly api: Remote<Api>;
}

/** So long a worker waits for another question; after that its memory is worth more than its start. */
export const WAITS_MS = 60_000;

interface Waiting {
  readonly at: AtWork<unknown>;
  readonly timer: ReturnType<typeof setTimeout>;
}

/** One of each kind at most, by the function that starts it. */
const waiting = new Map<() => Worker, Waiting>();

/**
 * A worker for one question: one that has answered its last and waits, whose program is loaded and compiled already, else a new one.
 * @param start starts a worker; the same function for all that may share one
 */
export function takeWorker<Api>(start: () => Worker): AtWork<Api> {
  const found = waiting.get(start);
  if (!found) {
    const worker = start();
    return { worker, api: wrap<Api>(worker) };
  }
  clearTimeout(found.timer);
  waiting.delete(start);
  return found.at as AtWork<Api>;
}

/** Lets a worker that has answered wait for the next question. One that is still at work is ended by whoever took it. */
export function letWait<Api>(start: () => Worker, at: AtWork<Api>): void {
  if (waiting.has(start)) {
    at.worker.terminate();
    return;
  }
  const timer = setTimeout(() => {
    waiting.delete(start);
    at.worker.terminate();
  }, WAITS_MS);
  waiting.set(start, { at: at as AtWork<unknown>, timer });
}
