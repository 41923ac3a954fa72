import { LEVELS, practiceRig } from "@/core/practice";
import { practiceReport } from "@/core/report";
import { durationWords } from "@/core/text";
import type { ExitCode } from "./main";
import { UnusableInput } from "./unusable-input";
import { wholeNumber } from "./whole-number";

export interface PracticeOptions {
  readonly seed: string;
  readonly level: string;
  readonly json?: boolean;
}

/** Prints the rig of a seed: what the household says and what can be done; as JSON also what is wrong and the line of the search. */
export async function practiceCommand({ seed, level, json = false }: PracticeOptions): Promise<ExitCode> {
  const wanted = LEVELS.find((one) => one === level);
  if (!wanted) throw new UnusableInput(`--level: expected one of ${LEVELS.join(", ")}.`);
  const rig = practiceRig(wholeNumber("--seed", seed), wanted);
  if (!rig) throw new UnusableInput("--seed: no room of this number can have such a fault; try the next number.");
  const report = practiceReport(rig);
  if (json) process.stdout.write(`${JSON.stringify(report)}\n`);
  else
    process.stdout.write(
      `${[
        report.job.devices.map(({ name }) => name).join(", "),
        `The household says: ${report.symptoms.map(({ says }) => says).join("; ")}`,
        ...report.checks.map(({ id, says, minutes }) => `${durationWords(minutes).padStart(9)}  ${says}  [${id}]`),
      ].join("\n")}\n`,
    );
  return Promise.resolve(0);
}
