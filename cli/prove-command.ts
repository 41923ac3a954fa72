import { z } from "zod";
import { Observation } from "@/core/proof";
import { proveReport } from "@/core/report";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";
import { readListFile } from "./read-list-file";

const Observations = z.array(Observation).min(1).max(500);
const EXPECTED =
  'a list of {"row", "sees"}, or {"act", "sees"}; sees is "as-predicted", "silent", "no-picture", {"coding", "channels", "objects"} or, of an act, {"miss", "device"}';

/** Asks which single facts of a room would explain what was seen on site. Exit code 1 where something was not as predicted. */
export async function proveCommand(file: string, { observed, json = false }: { observed: string; json?: boolean }): Promise<ExitCode> {
  const job = await readJobFile(file);
  const observations = await readListFile(observed, Observations, EXPECTED);
  const report = proveReport(job, observations);
  if (json) process.stdout.write(`${JSON.stringify(report)}\n`);
  else {
    const lines = [
      report.says,
      ...report.explanations
        .slice(0, 8)
        .map(
          ({ says, explains, others }) =>
            `  ${explains} of ${report.observed}: ${says}${others ? ` It would change ${others} more that nobody looked at.` : ""}`,
        ),
      ...report.unknownRows.map((row) => `  There is no row “${row}” in this job.`),
      ...report.unknownActs.map((act) => `  There is no act “${act}” in this job.`),
    ];
    process.stdout.write(`${lines.join("\n")}\n`);
  }
  return report.unexpected === 0 && report.unknownRows.length + report.unknownActs.length === 0 ? 0 : 1;
}
