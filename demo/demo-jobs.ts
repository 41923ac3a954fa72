import { readdirSync, readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { readJobText, type Job } from "@/core/job";
import { troubleSentence } from "@/core/text";

const folder = fileURLToPath(new URL("jobs/", import.meta.url));
const ENDING = ".octachord.json";

/** The names of the demo jobs, as their files are called. */
export const demoJobNames = (): readonly string[] =>
  readdirSync(folder)
    .filter((file) => file.endsWith(ENDING))
    .map((file) => file.slice(0, -ENDING.length))
    .sort();

/** One demo job from its file; a file that does not read is a mistake of ours and throws. */
export function demoJob(name: string): Job {
  const read = readJobText(readFileSync(`${folder}${name}${ENDING}`, "utf8"));
  if (!read.ok) throw new Error(`${name}: ${read.refusal.map(troubleSentence).join(" ")}`);
  return read.value;
}
