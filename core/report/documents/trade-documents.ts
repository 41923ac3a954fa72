import { solve } from "@/core/chain";
import type { Job } from "@/core/job";
import type { PrintDocument } from "@/core/paper";
import { documentWords, durationWords, stepCaution, stepTools, visitStepWords } from "@/core/text";
import { doneSteps, runSheet } from "@/core/visit";
import { tradeDocument, type PrintSetting } from "./document-head";
import { table, titledTable } from "./pieces";
import { arrivalBlocks } from "./proof-blocks";
import { mapBlocks, plugBlocks, settingBlocks } from "./wiring-blocks";

/** The board on paper: every row with its verdict, what arrives and why not more. */
export const boardDocument = (job: Job, setting: PrintSetting): PrintDocument =>
  tradeDocument(documentWords.boardOf(job.name), setting, arrivalBlocks(job, solve(job, "planned").rows));

/** The wiring map on a page of its own. */
export const mapDocument = (job: Job, setting: PrintSetting): PrintDocument =>
  tradeDocument(documentWords.mapOf(job.name), setting, mapBlocks(job, setting));

/** The lists of a job on paper: what is plugged where, every menu, the devices. */
export const listsDocument = (job: Job, setting: PrintSetting): PrintDocument =>
  tradeDocument(documentWords.listsOf(job.name), setting, [
    ...titledTable(
      documentWords.devices,
      documentWords.deviceColumns,
      [4, 3, 3, 5],
      job.devices.map(({ name, maker, role, note }) => [name, maker, role, note]),
    ),
    ...plugBlocks(job, setting.units),
    ...settingBlocks(job),
  ]);

/** The run sheet on paper, each step with what it needs and a box to tick. */
export function runSheetDocument(job: Job, setting: PrintSetting): PrintDocument {
  const { steps, minutes } = runSheet(job, job.visit.people, undefined, job.record);
  const done = doneSteps(job, steps, job.record);
  const { rows } = solve(job, "planned");
  const lines = steps.map((step, index) => [
    done.has(step.id) ? documentWords.done : "[  ]",
    String(index + 1),
    [visitStepWords(job, step, rows), stepCaution(job, step) ?? ""].filter(Boolean).join(" "),
    stepTools(step).join(", "),
    durationWords(step.minutes),
  ]);
  return tradeDocument(documentWords.runSheetOf(job.name), setting, [
    { block: "text", words: documentWords.runSheetTakes(durationWords(minutes), job.visit.people) },
    ...(lines.length ? [table(documentWords.stepColumns, [1, 1, 9, 3, 2], lines)] : []),
  ]);
}
