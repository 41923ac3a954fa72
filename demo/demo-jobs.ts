import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { readJobText, type Job } from "@/core/job";
import { troubleSentence } from "@/core/text";

/** `jobs`: the made-up rooms that the demo opens with; `systems`: one small system for each rule of the trade, with a known answer. */
type Shelf = "jobs" | "systems";

const folderOf = (shelf: Shelf) => join(import.meta.dirname, shelf);
const ENDING = ".octachord.json";

/** The names of the demo jobs, as their files are called. */
export const demoJobNames = (shelf: Shelf = "jobs"): readonly string[] =>
  readdirSync(folderOf(shelf))
    .filter((file) => file.endsWith(ENDING))
    .map((file) => file.slice(0, -ENDING.length))
    .sort();

/** One demo job from its file; a file that does not read is a mistake of ours and throws. */
export function demoJob(name: string, shelf: Shelf = "jobs"): Job {
  const read = readJobText(readFileSync(join(folderOf(shelf), `${name}${ENDING}`), "utf8"));
  if (!read.ok) throw new Error(`${name}: ${read.refusal.map(troubleSentence).join(" ")}`);
  return read.value;
}

/** A job whose gear and cables all come new, so that its visit is as long as it can be. */
export const allNew = (job: Job): Job => ({
  ...job,
  devices: job.devices.map((device) => ({ ...device, supply: "buy" as const })),
  cables: job.cables.map((cable) => ({ ...cable, supply: "buy" as const })),
});
