import { FULL_SCORE, scoreArrival, type Arrival } from "@/core/chain";
import { PURCHASE_KINDS, type Job } from "@/core/job";
import { CHANGE_KINDS, type ChangeKind } from "./changes";

/** How good a score is to this household: where it wishes plain sound, whatever plays on two channels with its picture is enough. */
export const wishedScore = ({ brief }: Job, score: number): number =>
  brief.surround === "plain" && score >= scoreArrival({ soundVerdict: "reduced", soundRank: 0 }) ? FULL_SCORE : score;

/** How good the sound of a row is to this household. */
export const wishedScoreOf = (job: Job, arrival: Pick<Arrival, "soundVerdict" | "soundRank">): number =>
  wishedScore(job, scoreArrival(arrival));

/** The kinds of change that the brief allows: what costs nothing always, the others where they may be bought. */
export const allowedKinds = ({ brief }: Job): readonly ChangeKind[] =>
  CHANGE_KINDS.filter((kind) => !PURCHASE_KINDS.some((bought) => bought === kind) || brief.mayBuy.some((bought) => bought === kind));
