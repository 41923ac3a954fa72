import { PAPERS, templatePages, templateSvg } from "@/core/drawing";
import { sceneOf, templateOf } from "@/core/room";
import { templateRefusalSentence } from "@/core/text";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";
import { UnusableInput } from "./unusable-input";
import { isPaper, writePrint } from "./write-print";

export interface TemplateOptions {
  readonly unit: string;
  readonly output: string;
  readonly paper: string;
}

/** Writes the drilling template of a unit, true to size: SVG in one piece, PDF in pages of a paper. */
export async function templateCommand(file: string, { unit, output, paper }: TemplateOptions): Promise<ExitCode> {
  const job = await readJobFile(file);
  if (!isPaper(paper)) throw new UnusableInput(`--paper: expected one of ${Object.keys(PAPERS).join(", ")}.`);
  const template = templateOf(
    job.rooms.map((room) => sceneOf(job, room)),
    unit,
  );
  if ("code" in template) throw new UnusableInput(`--unit: ${templateRefusalSentence(template)}`);
  await writePrint(
    output,
    `${job.name}: ${template.one.unit.name}`,
    () => templatePages(template, job.name, paper),
    () => templateSvg(template, job.name),
  );
  return 0;
}
