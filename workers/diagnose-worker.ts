import { expose } from "comlink";
import {
  answerOfPasted,
  cureEdit,
  finderOf,
  householdChecks,
  observedInProof,
  type Finder,
  type FirmFaults,
  type Observed,
} from "@/core/diagnose";
import type { Command, Job, VisitEntry } from "@/core/job";
import { checksReport, diagnoseReport, faultsReport, symptomsReport, type DiagnoseReport } from "@/core/report";
import { cureSentence, observedTroubleSentence, PASTED_TROUBLE_WORDS } from "@/core/text";

/** What a page needs to begin a search. */
export interface RoomInTrouble {
  readonly symptoms: readonly { readonly id: string; readonly says: string }[];
  /** Every check with its answers, and every fault, for what is written of a search. */
  readonly checks: readonly {
    readonly id: string;
    readonly says: string;
    readonly answers: readonly { readonly answer: string; readonly says: string }[];
  }[];
  readonly faults: readonly { readonly id: string; readonly says: string }[];
  /** What Prove saw of contents, and how much of it is not as predicted. */
  readonly proven: readonly Observed[];
  readonly odd: number;
  /** What the household can check by itself, in sentences. */
  readonly household: readonly string[];
}

/** Where a search stands, with the edit that a cure makes in the job. */
export type SearchStand =
  { readonly ok: true; readonly report: DiagnoseReport; readonly edit: Command | null } | { readonly ok: false; readonly says: string };

let finder: Finder | null = null;

/** What a content shows where nothing is wrong. */
function answerWhenWell({ healthy, singles }: Finder, check: string): string | undefined {
  const look = singles.looks.find(({ id }) => id === check)?.look;
  return look?.does === "play" ? healthy.seen.rows.get(look.row) : undefined;
}

const api = {
  /** Plays every fault of a job; what follows is asked of this room. */
  open(job: Job, firm: FirmFaults, last: readonly VisitEntry[]): RoomInTrouble {
    const opened = finderOf(job, firm);
    finder = opened;
    const proven = observedInProof(opened.singles, new Map(last.map((entry) => [entry.step, entry])));
    return {
      ...symptomsReport(opened),
      ...checksReport(opened),
      faults: faultsReport(opened).faults.map(({ id, says }) => ({ id, says })),
      proven,
      odd: proven.filter(({ check, answer }) => answer !== answerWhenWell(opened, check)).length,
      household: householdChecks(opened).map((cure) => cureSentence(job, cure)),
    };
  },
  /** The answer that a pasted EDID or trace gives to a check; a sentence where it gives none. */
  pasted(check: string, text: string): { readonly answer: string } | { readonly says: string } | null {
    const row = finder?.singles.looks.find(({ id }) => id === check);
    if (!finder || !row) return null;
    const answer = answerOfPasted(finder.healthy, row, text);
    return answer.ok ? { answer: answer.value } : { says: PASTED_TROUBLE_WORDS[answer.refusal.code] };
  },
  stand(symptoms: readonly string[], observed: readonly Observed[]): SearchStand | null {
    if (!finder) return null;
    const report = diagnoseReport(finder, symptoms, observed);
    if (!report.ok) return { ok: false, says: observedTroubleSentence(report.refusal) };
    const mended = observed.find(({ answer }) => answer === "mended");
    const cure = finder.singles.cures.find(({ id }) => id === mended?.check)?.cure;
    return { ok: true, report: report.value, edit: cure ? cureEdit(finder.healthy.job, cure) : null };
  },
};
export type DiagnoseWorker = typeof api;

expose(api);
