import type { Job } from "@/core/job";
import type { Change, SmallestChanges, WeighedChange } from "@/core/plan";
import { changeWords, proofSentence } from "@/core/text";

/** The machine form of the smallest set of changes: the outside contract of `octachord changes --json`. */
export function changesReport(job: Job, { best, ties, proof, looked }: SmallestChanges, purchases: readonly WeighedChange[] | null) {
  return {
    changes: best.changes.map((change) => changeReport(job, change)),
    cost: best.cost,
    lifts: best.lifts,
    lowers: best.lowers,
    pictureLifts: best.pictureLifts,
    pictureLowers: best.pictureLowers,
    proof,
    proven: proof !== "not-proven",
    words: proofSentence({ best, ties, proof, looked }),
    looked,
    ties: ties.map((tie) => tie.changes.map((change) => changeReport(job, change))),
    after: best.after.map(({ id, verdict }) => ({ id, verdict })),
    ...(purchases ? { purchases: purchases.map((one) => ({ ...changeReport(job, one), lifts: one.lifts, lowers: one.lowers })) } : {}),
  };
}

const changeReport = (job: Job, change: Change) => ({
  kind: change.kind,
  count: change.count,
  words: changeWords(job, change),
  command: change.command,
});
