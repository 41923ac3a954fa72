import { expose } from "comlink";
import type { Job } from "@/core/job";
import { smallestChanges, weighedChanges, type SearchOptions, type SmallestChanges } from "@/core/plan";

/** After this the best that was found is shown, and that it is not proven. */
const MOST_MS = 10_000;

const api = {
  weighedChanges,
  smallestChanges: (job: Job, options: SearchOptions): SmallestChanges =>
    smallestChanges(job, { ...options, clock: () => performance.now(), mostMs: MOST_MS }),
};
export type ChangesWorker = typeof api;

expose(api);
