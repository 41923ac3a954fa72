import type { Device } from "@/core/device";

/** As many habits a device may have. */
const MOST_HABITS = 8;

/** The habits of a device whose bitstreams slip out of step; null where it is known for that already, or plays no bitstream. */
export function withDrift({ habits, sources }: Pick<Device, "habits" | "sources">): Device["habits"] | null {
  const played = sources.flatMap(({ contents }) => contents.flatMap(({ tracks }) => tracks.map(({ coding }) => coding)));
  const codings = [...new Set(played)].filter((coding) => coding !== "lpcm" && coding !== "analogue");
  if (codings.length === 0 || habits.length >= MOST_HABITS || habits.some(({ habit }) => habit === "drifts")) return null;
  return [...habits, { habit: "drifts", codings, amountMs: null, afterMinutes: null }];
}
