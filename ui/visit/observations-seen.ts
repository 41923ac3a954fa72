import type { VisitEntry } from "@/core/job";
import type { Observation, ProofCheck } from "@/core/proof";

/** What was seen of the rows and acts of a job, by the entry that counts for each. Speakers are judged by ear, not by the chain. */
export const observationsSeen = (checks: readonly ProofCheck[], last: ReadonlyMap<string, VisitEntry>): readonly Observation[] =>
  checks.flatMap((check): Observation[] => {
    const entry = last.get(check.id);
    const sees = entry && entry.state !== "open" ? entry.sees : null;
    if (sees === null || check.check === "speaker") return [];
    return [check.check === "row" ? { row: check.row.id, sees } : { act: check.event, sees }];
  });
