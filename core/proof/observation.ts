import { z } from "zod";
import type { JudgedAct, Miss } from "@/core/cec";
import type { Arrival } from "@/core/chain";
import { LIP_SYNC } from "@/core/facts";
import { Seen } from "@/core/job";

/** What somebody saw on site of one row, or of one everyday act. */
export const Observation = z.union([
  /** The row, as `arrivals` names it. */
  z.strictObject({ row: z.string().min(1).max(300), sees: Seen }),
  /** The act, as `cec --event` names it. */
  z.strictObject({ act: z.string().min(1).max(300), sees: Seen }),
]);
export type Observation = z.infer<typeof Observation>;
export type RowObservation = Extract<Observation, { row: string }>;
export type ActObservation = Extract<Observation, { act: string }>;

/** Whether a row, as the engine has it, is what was seen. `predicted` is the row as the job stands. */
export function isSeen({ sees }: Pick<RowObservation, "sees">, row: Arrival | undefined, predicted: Arrival | undefined): boolean {
  if (!row) return false;
  const { arrives, lipSyncMs } = row;
  switch (sees) {
    case "as-predicted":
      return sameSound(row, predicted);
    case "silent":
      return arrives === null;
    case "no-picture":
      return row.verdict === "no-picture" || (predicted?.picture !== null && row.picture === null);
    case "sound-early":
      return lipSyncMs !== null && lipSyncMs < LIP_SYNC.noticeable.earlyMs;
    case "sound-late":
      return lipSyncMs !== null && lipSyncMs > LIP_SYNC.noticeable.lateMs;
    case "other-unit":
    case "other-side":
    case "level-off":
      return false;
    default:
      return (
        "coding" in sees &&
        arrives?.coding === sees.coding &&
        (sees.channels === undefined || arrives.channels === sees.channels) &&
        (sees.objects === undefined || (arrives.objects !== "none") === sees.objects)
      );
  }
}

const sameSound = (a: Arrival, b: Arrival | undefined): boolean => {
  const [one, other] = [a.arrives, b?.arrives ?? null];
  if (!one || !other) return one === other;
  return one.coding === other.coding && one.channels === other.channels && one.objects === other.objects;
};

/** What is not as wished when an act has come to rest. */
const missesOf = ({ verdict }: JudgedAct): readonly Miss[] => ("misses" in verdict ? verdict.misses : []);
const missKey = (miss: Miss): string => ("device" in miss ? `${miss.miss} ${miss.device}` : miss.miss);

/** Whether an act, as the simulator plays it, goes as was seen. `predicted` is the act as the job stands. */
export function isActSeen({ sees }: Pick<ActObservation, "sees">, judged: JudgedAct | null, predicted: JudgedAct | null): boolean {
  if (!judged) return false;
  if (sees === "as-predicted")
    return (
      predicted !== null &&
      (judged.verdict.verdict === "unstable") === (predicted.verdict.verdict === "unstable") &&
      missesOf(judged).map(missKey).join() === missesOf(predicted).map(missKey).join()
    );
  if (typeof sees === "string" || !("miss" in sees)) return false;
  return missesOf(judged).some(
    (miss) => miss.miss === sees.miss && (sees.device === undefined || ("device" in miss && miss.device === sees.device)),
  );
}
