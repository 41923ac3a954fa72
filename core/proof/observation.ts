import { z } from "zod";
import { BED_IDS, CODING_IDS } from "@/core/facts";
import type { Arrival } from "@/core/chain";

/** What was seen: as predicted, nothing heard, or what the sound system's display shows; what it does not show is left out. */
export const Seen = z.union([
  z.literal("as-predicted"),
  z.literal("silent"),
  z.strictObject({ coding: z.enum(CODING_IDS), channels: z.enum(BED_IDS).optional(), objects: z.boolean().optional() }),
]);
export type Seen = z.infer<typeof Seen>;

/** What somebody saw of one row on site. */
export const Observation = z.strictObject({
  /** The row, as `arrivals` names it. */
  row: z.string().min(1).max(200),
  sees: Seen,
});
export type Observation = z.infer<typeof Observation>;

/** Whether a row, as the engine has it, is what was seen. `predicted` is the row as the job stands. */
export function isSeen({ sees }: Observation, row: Arrival | undefined, predicted: Arrival | undefined): boolean {
  if (!row) return false;
  if (sees === "silent") return row.arrives === null;
  if (sees === "as-predicted") return sameSound(row, predicted);
  const { arrives } = row;
  if (!arrives || arrives.coding !== sees.coding) return false;
  return (
    (sees.channels === undefined || arrives.channels === sees.channels) &&
    (sees.objects === undefined || (arrives.objects !== "none") === sees.objects)
  );
}

const sameSound = (a: Arrival, b: Arrival | undefined): boolean => {
  const [one, other] = [a.arrives, b?.arrives ?? null];
  if (!one || !other) return one === other;
  return one.coding === other.coding && one.channels === other.channels && one.objects === other.objects;
};
