import { findArchetype } from "@/core/device";
import { smallestChanges, weighedPurchases, type WeighedChange } from "@/core/plan";
import { changesReport } from "@/core/report";
import { atAPriceWords, changeWords, movedWords, proofSentence, setWords, tieWords } from "@/core/text";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";
import { UnusableInput } from "./unusable-input";

/** Prints the smallest set of changes. Exit code 1 where some row has less sound or picture than it could even then. */
export async function changesCommand(
  file: string,
  options: { json?: boolean; buy?: string; van?: readonly string[]; purchase: boolean },
): Promise<ExitCode> {
  const job = await readJobFile(file);
  for (const [option, names] of [
    ["--buy", options.buy ? [options.buy] : []],
    ["--van", options.van ?? []],
  ] as const)
    for (const name of names) if (!findArchetype(name)) throw new UnusableInput(`${option}: there is no “${name}” on the shelf.`);
  const smallest = smallestChanges(job, options.purchase ? { boxes: options.van ?? [] } : { kinds: ["setting", "plug"] });
  const purchases: readonly WeighedChange[] | null = options.buy ? weighedPurchases(job, options.buy) : null;
  if (options.json) process.stdout.write(`${JSON.stringify(changesReport(job, smallest, purchases))}\n`);
  else {
    process.stdout.write(
      `${[
        setWords(job, smallest),
        proofSentence(smallest),
        tieWords(job, smallest),
        ...atAPriceWords(job, smallest).map((words) => `At a price: ${words}`),
      ]
        .filter((line) => line !== null)
        .join("\n")}\n`,
    );
    for (const purchase of purchases?.slice(0, 3) ?? []) process.stdout.write(`${changeWords(job, purchase)}: ${movedWords(purchase)}.\n`);
    if (purchases?.length === 0) process.stdout.write("Buying that lifts nothing here by itself.\n");
  }
  return smallest.best.after.every(({ verdict, pictureLosses }) => verdict === "full" && pictureLosses.length === 0) ? 0 : 1;
}
