import type { Job } from "@/core/job";
import type { Change, MovedRows, SmallestChanges, WeighedChange } from "@/core/plan";
import { changeWords, proofSentence } from "@/core/text";

/** The machine form of the smallest set of changes: the outside contract of `octachord changes --json`. */
export function changesReport(job: Job, smallest: SmallestChanges, purchases: readonly WeighedChange[] | null) {
  const { best, ties, proof, looked, open, atAPrice } = smallest;
  return {
    changes: best.changes.map((change) => changeReport(job, change)),
    cost: best.cost,
    ...movedReport(best),
    proof,
    proven: proof !== "not-proven",
    words: proofSentence(smallest),
    looked,
    /** Rows that a set not tried might still lift. */
    open,
    ties: ties.map((tie) => tie.changes.map((change) => changeReport(job, change))),
    atAPrice: atAPrice.map((set) => ({ changes: set.changes.map((change) => changeReport(job, change)), ...movedReport(set) })),
    after: best.after.map(({ id, verdict, pictureLosses }) => ({ id, verdict, pictureLosses: pictureLosses.map(({ code }) => code) })),
    ...(purchases ? { purchases: purchases.map((one) => ({ ...changeReport(job, one), ...movedReport(one) })) } : {}),
  };
}

const movedReport = ({ lifts, lowers, pictureLifts, pictureLowers, syncLifts, syncLowers, troubles }: MovedRows) => ({
  lifts,
  lowers,
  pictureLifts,
  pictureLowers,
  syncLifts,
  syncLowers,
  troubles,
});

const changeReport = (job: Job, change: Change) => ({
  kind: change.kind,
  count: change.count,
  words: changeWords(job, change),
  command: change.command,
});
