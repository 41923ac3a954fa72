import { runSheetReport } from "@/core/report";
import { durationWords, scheduleSentence } from "@/core/text";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";
import { UnusableInput } from "./unusable-input";

/** Prints the steps of a visit in the order of a shortest schedule. Exit code 1 where that is not proven. */
export async function runSheetCommand(
  file: string,
  { people = "1", json = false }: { people?: string; json?: boolean },
): Promise<ExitCode> {
  if (people !== "1" && people !== "2") throw new UnusableInput("--people: expected 1 or 2.");
  const job = await readJobFile(file);
  const report = runSheetReport(job, people === "1" ? 1 : 2);
  if (json) process.stdout.write(`${JSON.stringify(report)}\n`);
  else {
    const lines = report.steps.flatMap(({ starts, person, says, need, because, sign, caution, waitMinutes }) => [
      `${durationWords(starts).padStart(9)}  ${report.people === 2 ? `${person}  ` : ""}${says}${waitMinutes ? ` Then wait ${durationWords(waitMinutes)}.` : ""}`,
      ...(need ? [`           ${need}`] : []),
      ...(because ? [`           ${because}`] : []),
      ...(sign ? [`           Sign: ${sign}`] : []),
      ...(caution ? [`           Caution: ${caution}`] : []),
    ]);
    process.stdout.write(`${[scheduleSentence(report), ...lines].join("\n")}\n`);
  }
  return report.proven ? 0 : 1;
}
