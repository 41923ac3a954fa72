import { readFile, stat } from "node:fs/promises";
import { text } from "node:stream/consumers";
import { MAX_JOB_BYTES, readJobText, type Job } from "@/core/job";
import { troubleSentence } from "@/core/text";
import { UnusableInput } from "./unusable-input";

/** Reads a job from a file, or from standard input where the name is "-". It names the first of its faults, or every one, one on each line. */
export async function readJobFile(file: string, tells: "first-fault" | "every-fault" = "first-fault"): Promise<Job> {
  const shown = file === "-" ? "standard input" : file;
  const result = readJobText(await readText(file, shown));
  if (result.ok) return result.value;
  if (tells === "every-fault") throw new UnusableInput(result.refusal.map((trouble) => `${shown}: ${troubleSentence(trouble)}`).join("\n"));
  const [first] = result.refusal;
  const more = result.refusal.length > 1 ? ` (and ${result.refusal.length - 1} more)` : "";
  throw new UnusableInput(`${shown}: ${first ? troubleSentence(first) : "not a job file."}${more}`);
}

async function readText(file: string, shown: string): Promise<string> {
  if (file === "-") return text(process.stdin);
  try {
    const { size } = await stat(file);
    if (size > MAX_JOB_BYTES)
      throw new UnusableInput(`${shown}: ${troubleSentence({ code: "too-large", bytes: size, limit: MAX_JOB_BYTES })}`);
    return await readFile(file, "utf8");
  } catch (error) {
    if (error instanceof UnusableInput) throw error;
    const reason =
      error instanceof Error && "code" in error && error.code === "ENOENT" ? "there is no such file" : "the file cannot be read";
    throw new UnusableInput(`${shown}: ${reason}.`);
  }
}
