import { writeFile } from "node:fs/promises";
import { labelPages, labelStrip, type PrintedPage } from "@/core/drawing";
import { cableLabels, labelTable } from "@/core/report";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";
import { UnusableInput } from "./unusable-input";
import { isPaper, writePrint } from "./write-print";

export interface LabelsOptions {
  readonly output: string;
  readonly paper: string;
  readonly columns: string;
  readonly rows: string;
  readonly margin: string;
  readonly start: string;
  readonly mark?: boolean;
}

/** Writes the labels of both ends of every cable: PDF on label sheets, or CSV. */
export async function labelsCommand(file: string, { output, paper, mark = false, ...figures }: LabelsOptions): Promise<ExitCode> {
  if (!/\.(pdf|csv|svg)$/i.test(output)) throw new UnusableInput(`${output}: expected a name that ends in .pdf, .csv or .svg.`);
  const job = await readJobFile(file);
  if (/\.csv$/i.test(output)) {
    await writeFile(output, labelTable(job, { mark })).catch(() => {
      throw new UnusableInput(`${output}: could not be written.`);
    });
    return 0;
  }
  const words = cableLabels(job).map((label) => label.words);
  if (paper === "strip") return print(output, job.name, labelStrip(words));
  if (!isPaper(paper)) throw new UnusableInput("--paper: expected a4, letter or strip.");
  const columns = within("--columns", figures.columns, 1, 8);
  const rows = within("--rows", figures.rows, 1, 30);
  const marginMm = within("--margin", figures.margin, 0, 40);
  const start = within("--start", figures.start, 1, columns * rows);
  return print(output, job.name, labelPages(words, { paper, columns, rows, marginMm, start }));
}

async function print(output: string, name: string, pages: readonly PrintedPage[]): Promise<ExitCode> {
  await writePrint(
    output,
    `${name}: labels`,
    () => pages,
    () => pages[0]?.svg ?? "",
  );
  return 0;
}

function within(option: string, text: string, least: number, most: number): number {
  const value = Number(text);
  if (!Number.isInteger(value) || value < least || value > most)
    throw new UnusableInput(`${option}: expected a whole number from ${least} to ${most}.`);
  return value;
}
