import { done, refused, type Outcome } from "@/core/outcome";
import { applyAll, applyCommand } from "./apply-command";
import type { Applied } from "./applied";
import type { Command } from "./command";
import type { Job } from "./job";
import { readJob, readJobText, type JobTrouble } from "./read-job";
import type { Refusal } from "./refusal";

/** Why an edit is not made or not kept. */
export type EditRefusal = Refusal | { readonly code: "breaks-document"; readonly trouble: JobTrouble };

/**
 * Makes an edit as `applyCommand` does, and refuses it too where the document that it leaves would not read: a list longer than a file may
 * have, a value out of its range, a name that stands for nothing. What is edited by a person and what is kept goes through here; what is
 * only tried in thought does not, for it costs a reading of the document.
 */
export function editSoundly(job: Job, command: Command): Outcome<Applied, EditRefusal> {
  const applied = applyCommand(job, command);
  if (!applied.ok) return applied;
  const read = readJob(applied.value.job);
  return read.ok ? applied : refused({ code: "breaks-document", trouble: firstOf(read.refusal) });
}

const firstOf = ([first]: readonly JobTrouble[]): JobTrouble => first ?? { code: "not-a-job" };

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
