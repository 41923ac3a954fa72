import { writeFile } from "node:fs/promises";
import { solve } from "@/core/chain";
import { mapSvg } from "@/core/drawing";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";
import { UnusableInput } from "./unusable-input";

export interface MapOptions {
  readonly row?: string;
  readonly feet?: boolean;
  readonly output?: string;
}

/** Draws the wiring map of a job as SVG, with the strings of a row where one is named, to a file or to standard output. */
export async function mapCommand(file: string, { row: wanted, feet = false, output }: MapOptions): Promise<ExitCode> {
  const job = await readJobFile(file);
  const { rows } = solve(job, "planned");
  const row = wanted === undefined ? null : rows.find(({ id }) => id === wanted);
  if (row === undefined)
    throw new UnusableInput(`--row: there is no row “${wanted}”; the rows are ${rows.map(({ id }) => id).join(", ")}.`);
  const date = new Date().toLocaleDateString("en-GB", { day: "numeric", month: "long", year: "numeric" });
  const firm = { name: "", address: "", phone: "" };
  const svg = mapSvg({ job, row, units: feet ? "imperial" : "metric", firm, date, revision: null, fonts: "" });
  if (output === undefined) process.stdout.write(`${svg}\n`);
  else
    await writeFile(output, svg).catch(() => {
      throw new UnusableInput(`${output}: could not be written.`);
    });
  return 0;
}
