import type { Arrival } from "@/core/chain";
import type { Job } from "@/core/job";
import { arrivalSentence } from "./arrival-sentence";
import { deviceName } from "./names";
import { plural } from "./plural";
import { reasonSentence } from "./reason-words";
import { rowWords, verdictWords } from "./sound-words";

/** The board as a message to a customer: a line for each row, and why where something is lost. No markup. */
export function boardText(job: Job, board: readonly Arrival[]): string {
  const whole = board.filter(({ verdict }) => verdict === "full").length;
  const lines = board.flatMap((row) => {
    const reason = row.losses[0]?.reason;
    return [
      `- ${deviceName(job, row.player)}, ${rowWords(row)}: ${verdictWords(row).toLowerCase()}`,
      ...(reason ? [`  ${reasonSentence(job, reason)}`] : []),
    ];
  });
  return [`${job.name}: ${whole} of ${plural(board.length, "row")} at their best`, ...lines].join("\n");
}

/** One row as a message: its sentence, and why something is lost. */
export const rowText = (job: Job, row: Arrival): string =>
  [arrivalSentence(job, row), ...row.losses.filter(({ scope }) => scope === "path").map(({ reason }) => reasonSentence(job, reason))].join(
    "\n",
  );
