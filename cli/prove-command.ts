import { readFile } from "node:fs/promises";
import { z } from "zod";
import { explain, Observation } from "@/core/proof";
import { explainedSentence, wrongFactSentence } from "@/core/text";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";
import { UnusableInput } from "./unusable-input";

const Observations = z.array(Observation).min(1).max(500);

/** Asks which single facts of a room would explain what was seen on site. Exit code 1 where something was not as predicted. */
export async function proveCommand(file: string, { observed, json = false }: { observed: string; json?: boolean }): Promise<ExitCode> {
  const job = await readJobFile(file);
  const observations = await readObservations(observed);
  const answer = explain(job, observations);
  const explanations = answer.explanations.map(({ fact, explains, others, command }) => ({
    fact,
    says: wrongFactSentence(job, fact),
    explains,
    others,
    edit: command,
  }));
  if (json)
    process.stdout.write(
      `${JSON.stringify({ observed: answer.observed, unexpected: answer.unexpected, unknownRows: answer.unknownRows, explanations })}\n`,
    );
  else {
    const lines = [
      explainedSentence(answer),
      ...explanations
        .slice(0, 8)
        .map(
          ({ says, explains, others }) =>
            `  ${explains} of ${answer.observed}: ${says}${others ? ` It would change ${others} more that nobody looked at.` : ""}`,
        ),
      ...answer.unknownRows.map((row) => `  There is no row “${row}” in this job.`),
    ];
    process.stdout.write(`${lines.join("\n")}\n`);
  }
  return answer.unexpected === 0 && answer.unknownRows.length === 0 ? 0 : 1;
}

async function readObservations(file: string): Promise<readonly Observation[]> {
  const text = await readFile(file, "utf8").catch(() => {
    throw new UnusableInput(`${file}: there is no such file.`);
  });
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    throw new UnusableInput(`${file}: the file is not JSON.`);
  }
  const read = Observations.safeParse(raw);
  if (read.success) return read.data;
  const [issue] = read.error.issues;
  throw new UnusableInput(
    `${file}: ${issue?.path.join(".") || "the document"}: expected a list of {"row", "sees"}, where sees is "as-predicted", "silent" or {"coding", "channels", "objects"}.`,
  );
}
