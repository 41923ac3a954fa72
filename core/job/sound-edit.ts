import { refused, type Outcome } from "@/core/outcome";
import { applyCommand } from "./apply-command";
import type { Applied } from "./applied";
import type { Command } from "./command";
import { checkJob } from "./check-job";
import type { Job } from "./job";
import type { JobTrouble } from "./read-job";
import type { Refusal } from "./refusal";

/** Why an edit is not made or not kept. */
export type EditRefusal = Refusal | { readonly code: "breaks-document"; readonly trouble: JobTrouble };

/**
 * Makes an edit as `applyCommand` does, and refuses it too where the document that it leaves would not read: a list longer than a file may
 * have, a value out of its range, a name that stands for nothing. What is edited by a person and what is kept goes through here; what is
 * only tried in thought does not, for it costs a reading of the document (2 ms for a large one).
 */
export function editSoundly(job: Job, command: Command): Outcome<Applied, EditRefusal> {
  const applied = applyCommand(job, command);
  if (!applied.ok) return applied;
  const checked = checkJob(applied.value.job);
  return checked.ok ? applied : refused({ code: "breaks-document", trouble: firstOf(checked.refusal) });
}

export const firstOf = ([first]: readonly JobTrouble[]): JobTrouble => first ?? { code: "not-a-job" };
