import { done, refused, type Outcome } from "@/core/outcome";
import { applyAll } from "./apply-command";
import type { Command } from "./command";
import type { Job } from "./job";
import { readJobText, type JobTrouble } from "./read-job";
import { firstOf, type EditRefusal } from "./sound-edit";

/** Edits to keep: all of them or none, with the text of the document that they leave, which was read as a file is. */
export function editToKeep(
  job: Job,
  commands: readonly Command[],
): Outcome<{ readonly job: Job; readonly text: string }, { readonly refusal: EditRefusal; readonly job: Job }> {
  const made = applyAll(job, commands);
  if (!made.ok) return made;
  const kept = textToKeep(made.value);
  return kept.ok ? kept : refused({ refusal: { code: "breaks-document", trouble: kept.refusal }, job });
}

/** A document as it is kept, or the first thing for which it could not be opened again. */
export function textToKeep(job: Job): Outcome<{ readonly job: Job; readonly text: string }, JobTrouble> {
  const text = JSON.stringify(job);
  const read = readJobText(text);
  return read.ok ? done({ job: read.value, text }) : refused(firstOf(read.refusal));
}
