import { z } from "zod";
import { finderOf, playOut } from "@/core/diagnose";
import { checksReport, diagnoseReport, faultsReport, symptomsReport, type DiagnoseReport } from "@/core/report";
import { chanceWords, durationWords, faultSentence, observedTroubleSentence, UNEXPLAINED_SENTENCE } from "@/core/text";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";
import { readListFile } from "./read-list-file";
import { UnusableInput } from "./unusable-input";
import { wholeNumber } from "./whole-number";

export interface DiagnoseOptions {
  readonly symptoms?: boolean;
  readonly checks?: boolean;
  readonly symptom?: readonly string[];
  readonly observed?: string;
  readonly plant?: string;
  readonly seed: string;
  readonly json?: boolean;
}

const print = (lines: readonly string[]): void => void process.stdout.write(`${lines.join("\n")}\n`);
const printJson = (value: unknown): void => print([JSON.stringify(value)]);

/** Prints every fault that a room can have, the likeliest first. */
export async function faultsCommand(file: string, { json = false }: { readonly json?: boolean }): Promise<ExitCode> {
  const report = faultsReport(finderOf(await readJobFile(file)));
  const sorted = report.faults.toSorted((a, b) => b.prior - a.prior);
  if (json) printJson({ faults: sorted });
  else
    print(
      sorted.flatMap(({ id, prior, says, cure }) => [
        `${chanceWords(prior).padStart(10)}  ${says}  [${id}]`,
        ...(cure ? [`            ${durationWords(cure.minutes)}: ${cure.says}${cure.price ? ` ${cure.price}` : ""}`] : []),
      ]),
    );
  return 0;
}

/** Says what to check next, or lists what can be asked; with a planted fault it plays the whole search. Exit code 1 where nothing explains what was seen. */
export async function diagnoseCommand(file: string, options: DiagnoseOptions): Promise<ExitCode> {
  const finder = finderOf(await readJobFile(file));
  const { json = false } = options;
  if (options.symptoms) {
    const report = symptomsReport(finder);
    if (json) printJson(report);
    else print(report.symptoms.map(({ id, says }) => `${says}  [${id}]`));
    return 0;
  }
  if (options.checks) {
    const report = checksReport(finder);
    if (json) printJson(report);
    else
      print(
        report.checks.flatMap(({ id, says, minutes, answers }) => [
          `${durationWords(minutes)}  ${says}  [${id}]`,
          `    ${answers.map(({ answer }) => answer).join(" · ")}`,
        ]),
      );
    return 0;
  }
  if (options.plant !== undefined) {
    const planted = finder.played.find(({ fault }) => fault.id === options.plant)?.fault;
    if (!planted)
      throw new UnusableInput(`--plant: this job cannot have the fault “${options.plant}”; octachord faults lists those that it can.`);
    const played = playOut(finder, planted, { seed: wholeNumber("--seed", options.seed) });
    if (json) printJson(played);
    else
      print([
        `Told: ${played.symptoms.join(", ")}`,
        ...played.line.map(({ check, answer, minutes }) => `${durationWords(minutes).padStart(9)}  ${check}: ${answer}`),
        played.cured ? `Mended after ${durationWords(played.minutes)}: ${faultSentence(finder.healthy.job, planted)}` : "Not found.",
      ]);
    return played.cured ? 0 : 1;
  }
  const report = diagnoseReport(
    finder,
    options.symptom ?? [],
    options.observed ? await readListFile(options.observed, ObservedFile, 'a list of {"check", "answer"}') : [],
  );
  if (!report.ok) throw new UnusableInput(observedTroubleSentence(report.refusal));
  if (json) printJson(report.value);
  else print(standLines(report.value));
  return report.value.unexplained ? 1 : 0;
}

/** So many suspects are named. */
const NAMED = 5;

const standLines = ({ suspects, next, cure, expectedMinutes, unexplained }: DiagnoseReport): readonly string[] => [
  ...(unexplained ? [UNEXPLAINED_SENTENCE] : []),
  ...suspects.slice(0, NAMED).map(({ fault, probability }) => `${chanceWords(probability).padStart(14)}  ${fault}`),
  ...(next
    ? [
        `Next, ${durationWords(next.minutes)}: ${next.says}  [${next.check}]`,
        next.why,
        ...next.answers.map(({ answer, says, probability }) => `    ${chanceWords(probability).padStart(14)}  ${says}  [${answer}]`),
      ]
    : []),
  ...(cure && !next ? [`Mended: ${cure.says}${cure.price ? ` ${cure.price}` : ""} Prove it.`] : []),
  `Expected: ${durationWords(expectedMinutes)} until it is mended.`,
];

const ObservedFile = z.array(z.strictObject({ check: z.string().min(1).max(400), answer: z.string().min(1).max(400) })).max(500);
