import { standOf, type Finder, type Suspect } from "@/core/diagnose";
import type { HouseholdChange } from "@/core/job";

/** A suspect with the share of the belief that it has. */
export interface LikelyFault {
  readonly suspect: Suspect;
  readonly chance: number;
}

/**
 * The likeliest faults of a room before anything was looked at: from how often they happen, weighted by what the household says has changed since
 * the last visit; of several changes each counts alike. What the model does not know is left out.
 */
export function likelyFaults(finder: Finder, changed: readonly HouseholdChange[], most: number): readonly LikelyFault[] {
  const asked = changed.length ? changed.map((answer) => [{ check: "ask:changed", answer }]) : [[]];
  const stands = asked.flatMap((observed) => {
    const stand = standOf(finder, [], observed);
    return stand.ok ? [stand.value] : [];
  });
  const { suspects } = finder.singles;
  return suspects
    .map((suspect, index) => ({
      suspect,
      chance: stands.reduce((sum, { belief }) => sum + (belief[index] ?? 0), 0) / Math.max(1, stands.length),
    }))
    .filter(({ suspect }) => suspect.faults.every(({ kind }) => kind !== "unknown" && kind !== "as-recorded"))
    .toSorted((a, b) => b.chance - a.chance)
    .slice(0, most);
}
