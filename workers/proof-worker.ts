import { expose } from "comlink";
import type { Job } from "@/core/job";
import { explain, type Explained, type Observation } from "@/core/proof";

const api = {
  /** Answers as soon as the worker is there. */
  load: (): boolean => true,
  explain: (job: Job, observations: readonly Observation[]): Explained => explain(job, observations),
};
export type ProofWorker = typeof api;

expose(api);
