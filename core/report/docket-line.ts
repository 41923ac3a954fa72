import { householdOf } from "@/core/cec";
import { compareStanding, solve, type Arrival, type Reason } from "@/core/chain";
import { kindsOf, type KindOfDevice } from "@/core/handover";
import type { Job, Phase } from "@/core/job";
import { proofChecks, toCount, type CheckToCount, type ProvenSoFar } from "@/core/proof";
import { nextAct, openQuestions, type NextAct } from "@/core/survey";
import { arrivalSentence, deviceName, pictureFlag, reasonFlag, rowWords } from "@/core/text";

/** To be raised whenever the engine can judge a job otherwise than before: lines kept in the database are then made again. */
export const DOCKET_VERSION = 6;

/** What the docket tells of a job beside its particulars; kept with the job, so that thousands are listed at once. */
export interface DocketSummary {
  readonly rows: number;
  readonly whole: number;
  /** Questions of the survey that a verdict waits for. */
  readonly waiting: number;
  /** Rows whose verdict is not known. */
  readonly unknown: number;
  readonly next: NextAct;
  /** The checks of its proof. */
  readonly checks: readonly CheckToCount[];
  /** How many rows lose something on the way, by the first reason. */
  readonly losses: Readonly<Partial<Record<Reason["code"], number>>>;
  /** Its devices by their classes, for what recurs across jobs. */
  readonly kinds: readonly KindOfDevice[];
  /** The row that fares worst, with its words; null while the job has none. */
  readonly worst: { readonly arrival: Arrival; readonly spoken: string; readonly flag: string | null } | null;
}

function lossesOf(rows: readonly Arrival[]): DocketSummary["losses"] {
  const counts: Partial<Record<Reason["code"], number>> = {};
  for (const { losses } of rows) {
    const code = losses.find(({ scope }) => scope === "path")?.reason.code;
    if (code) counts[code] = (counts[code] ?? 0) + 1;
  }
  return counts;
}

/** One line of the day book. */
export interface DocketLine {
  readonly id: string;
  readonly name: string;
  readonly customer: string;
  readonly visitOn: string | null;
  readonly phase: Phase;
  readonly updatedAt: string;
  /** Null where the stored document no longer reads. */
  readonly summary: DocketSummary | null;
  /** Parts the job wants from the van and that the van does not have. */
  readonly missingParts: number;
  /** How many of its checks were seen as predicted, and how many otherwise. */
  readonly proven: ProvenSoFar;
  /** When a job in the bin goes for good; null for one in the docket. */
  readonly erasedOn: string | null;
}

/** So many days a job is in the bin before it goes for good. */
export const BIN_DAYS = 30;

/** What is wrong with a row, in a few words: its picture where there is none, else what its sound loses first, else what its picture does. */
function flagOf(job: Job, row: Arrival): string | null {
  const [loss] = row.losses;
  return row.verdict !== "no-picture" && loss ? reasonFlag(job, loss.reason) : pictureFlag(row);
}

/** Computes the summary from the document as it is. */
export function docketSummary(job: Job): DocketSummary {
  const { rows } = solve(job, "planned");
  const questions = openQuestions(job, rows);
  const worst = [...rows].sort(compareStanding)[0];
  const flag = worst && flagOf(job, worst);
  return {
    rows: rows.length,
    whole: rows.filter(({ verdict }) => verdict === "full").length,
    waiting: questions.filter((question) => question.rows.length > 0).length,
    unknown: rows.filter(({ verdict }) => verdict === "unknown").length,
    next: nextAct(job, rows, questions),
    checks: proofChecks(job, householdOf(job, "planned"), rows).map(toCount),
    losses: lossesOf(rows),
    kinds: kindsOf(job.devices),
    worst: worst
      ? {
          arrival: worst,
          spoken: arrivalSentence(job, worst),
          flag: flag ? `${deviceName(job, worst.player)}, ${rowWords(worst)}: ${flag}` : null,
        }
      : null,
  };
}
