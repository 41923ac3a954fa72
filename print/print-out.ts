import type { Job } from "@/core/job";
import type { AtHand } from "@/core/plan";
import { boardDocument, listsDocument, mapDocument, plansDocument, runSheetDocument } from "@/core/report";
import { handoverPackage, householdPdf, recordPdf, type HandoverSource } from "./handover-package";
import { pdfOfDocument } from "./pdf-of-document";

/** A plan on paper is not waited for longer than this. */
const MOST_PLANNING_MS = 5000;

/** Everything of a job that can be had on paper, and the package of its files. */
export const PRINTS = ["household", "record", "map", "board", "plans", "lists", "runsheet", "package"] as const;
export type PrintKind = (typeof PRINTS)[number];

/** What to print. The job comes with its record. */
export interface PrintOrder {
  readonly print: PrintKind;
  readonly job: Job;
  readonly source: HandoverSource;
  /** What may be used or bought, for plans; left out: whatever the brief allows. */
  readonly atHand?: AtHand;
}

/**
 * The bytes of a printed document (PDF), or of a package (zip).
 * @param root the folder of the application, where its fonts are
 */
export function printOut({ print, job, source, atHand }: PrintOrder, root: string): Promise<Uint8Array> {
  switch (print) {
    case "household":
      return householdPdf(job, source, root);
    case "record":
      return recordPdf(job, source, root);
    case "package":
      return handoverPackage(job, source, root);
    case "map":
      return pdfOfDocument(mapDocument(job, source), root);
    case "board":
      return pdfOfDocument(boardDocument(job, source), root);
    case "plans":
      return pdfOfDocument(plansDocument(job, source, atHand, { clock: () => performance.now(), mostMs: MOST_PLANNING_MS }), root);
    case "lists":
      return pdfOfDocument(listsDocument(job, source), root);
    case "runsheet":
      return pdfOfDocument(runSheetDocument(job, source), root);
  }
}
