import { expose } from "comlink";
import { finderOf, type FirmFaults } from "@/core/diagnose";
import { householdSheet, likelyFaults, type HouseholdSheet, type SheetSource } from "@/core/handover";
import type { HouseholdChange, Job } from "@/core/job";
import { chanceWords, suspectSentence } from "@/core/text";

/** A fault that is likely before anything was looked at, in words. */
export interface LikelyShown {
  readonly says: string;
  readonly chance: string;
}

const api = {
  /** The sheet of the household. Its checks are those of the search for faults, which plays every fault of the room. */
  sheet: (job: Job, source: SheetSource): HouseholdSheet => householdSheet(job, source),
  /** The likeliest faults after what the household says has changed. */
  likely: (job: Job, firm: FirmFaults, changed: readonly HouseholdChange[], most: number): readonly LikelyShown[] =>
    likelyFaults(finderOf(job, firm), changed, most).map(({ suspect, chance }) => ({
      says: suspectSentence(job, suspect),
      chance: chanceWords(chance),
    })),
};
export type HandoverWorker = typeof api;

expose(api);
