import { findArchetype } from "@/core/device";
import { smallestChanges, weighedPurchases, type WeighedChange } from "@/core/plan";
import { changesReport } from "@/core/report";
import { changeWords, plural, proofSentence, setWords, tieWords } from "@/core/text";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";
import { UnusableInput } from "./unusable-input";

/** Prints the smallest set of changes. Exit code 1 where some row stays less than all of it even then. */
export async function changesCommand(file: string, options: { json?: boolean; buy?: string; purchase: boolean }): Promise<ExitCode> {
  const job = await readJobFile(file);
  if (options.buy && !findArchetype(options.buy)) throw new UnusableInput(`--buy: there is no “${options.buy}” on the shelf.`);
  const smallest = smallestChanges(job, options.purchase ? {} : { kinds: ["setting", "plug"] });
  const purchases: readonly WeighedChange[] | null = options.buy ? weighedPurchases(job, options.buy) : null;
  if (options.json) process.stdout.write(`${JSON.stringify(changesReport(job, smallest, purchases))}\n`);
  else {
    process.stdout.write(
      `${[setWords(job, smallest), proofSentence(smallest), tieWords(job, smallest)].filter((line) => line !== null).join("\n")}\n`,
    );
    for (const purchase of purchases?.slice(0, 3) ?? [])
      process.stdout.write(
        `${changeWords(job, purchase)}: lifts ${plural(purchase.lifts.length, "row")}, lowers ${purchase.lowers.length}.\n`,
      );
    if (purchases?.length === 0) process.stdout.write("Buying that lifts nothing here by itself.\n");
  }
  return smallest.best.after.every(({ verdict }) => verdict === "full") ? 0 : 1;
}
