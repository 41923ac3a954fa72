import type { VisitEntry } from "@/core/job";
import type { Observed } from "./belief";
import type { Case } from "./case";

/** How the steps of a proven content begin. */
const OF_ROWS = "prove ";

/**
 * What Prove saw of contents, as answers of a search: what came out as predicted counts as well as what did not. What was seen in a way that no
 * fault shows counts as something else.
 * @param last the entry that counts of each step
 */
export function observedInProof({ looks, healthy }: Case, last: ReadonlyMap<string, VisitEntry>): readonly Observed[] {
  return [...last.values()].flatMap(({ step, sees, state }): Observed[] => {
    if (!step.startsWith(OF_ROWS) || sees === null || state === "open") return [];
    const row = step.slice(OF_ROWS.length);
    const look = looks.find((one) => one.look.does === "play" && one.look.row === row);
    if (!look) return [];
    const fits = (answer: string) => fitsSeen(answer, sees, healthy.seen.rows.get(row) ?? "");
    return [{ check: look.id, answer: look.answers.find(fits) ?? "something-else" }];
  });
}

/** Whether a room as it is played shows what was entered. */
function fitsSeen(answer: string, sees: NonNullable<VisitEntry["sees"]>, healthy: string): boolean {
  if (sees === "as-predicted") return answer === healthy;
  if (sees === "silent") return answer === "silent" || answer === "own-speakers";
  if (sees === "no-picture") return answer === "no-picture";
  const words = answer.split(" ");
  if (sees === "sound-early") return words.includes("early");
  if (sees === "sound-late") return words.includes("late");
  if (typeof sees === "string" || !("coding" in sees)) return false;
  return (
    words[0] === sees.coding &&
    (sees.channels === undefined || words[1] === sees.channels) &&
    (sees.objects === undefined || words.includes("objects") === sees.objects)
  );
}
