import { findArchetype } from "@/core/device";
import type { Job } from "@/core/job";
import type { StockItem } from "./stock";

/** The archetypes of boxes that the van has to spare and that the job's budget allows. */
export function boxesAtHand(job: Job, items: readonly StockItem[], free: ReadonlyMap<string, number>): readonly string[] {
  const { budget } = job.brief;
  const boxes = items.flatMap(({ id, what, price }) =>
    what.kind === "device" &&
    findArchetype(what.archetype)?.role === "box" &&
    (free.get(id) ?? 0) > 0 &&
    (budget === null || price === null || price <= budget)
      ? [what.archetype]
      : [],
  );
  return [...new Set(boxes)];
}
