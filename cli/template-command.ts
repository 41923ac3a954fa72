import { writeFile } from "node:fs/promises";
import { fileURLToPath } from "node:url";
import { PAPERS, templatePages, templateSvg, type Paper } from "@/core/drawing";
import { sceneOf, templateOf } from "@/core/room";
import { templateRefusalSentence } from "@/core/text";
import { pdfOfPages } from "@/print";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";
import { UnusableInput } from "./unusable-input";

export interface TemplateOptions {
  readonly unit: string;
  readonly output: string;
  readonly paper: string;
}

const isPaper = (paper: string): paper is Paper => paper in PAPERS;

/** Writes the drilling template of a unit, true to size: SVG in one piece, PDF in pages of a paper. */
export async function templateCommand(file: string, { unit, output, paper }: TemplateOptions): Promise<ExitCode> {
  const job = await readJobFile(file);
  if (!isPaper(paper)) throw new UnusableInput(`--paper: expected one of ${Object.keys(PAPERS).join(", ")}.`);
  const template = templateOf(
    job.rooms.map((room) => sceneOf(job, room)),
    unit,
  );
  if ("code" in template) throw new UnusableInput(`--unit: ${templateRefusalSentence(template)}`);
  const root = fileURLToPath(new URL("../", import.meta.url));
  const content = /\.pdf$/i.test(output)
    ? await pdfOfPages(templatePages(template, job.name, paper), `${job.name}: ${template.one.unit.name}`, root)
    : /\.svg$/i.test(output)
      ? templateSvg(template, job.name)
      : null;
  if (content === null) throw new UnusableInput(`${output}: expected a name that ends in .svg or .pdf.`);
  await writeFile(output, content).catch(() => {
    throw new UnusableInput(`${output}: could not be written.`);
  });
  return 0;
}
