import { findArchetype } from "@/core/device";
import { smallestChanges, weighedPurchases, type WeighedChange } from "@/core/plan";
import { changesReport } from "@/core/report";
import { atAPriceWords, changeWords, movedWords, proofSentence, setWords, tieWords } from "@/core/text";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";
import { UnusableInput } from "./unusable-input";
import { wholeNumber } from "./whole-number";

export interface ChangesOptions {
  readonly json?: boolean;
  readonly buy?: string;
  readonly van?: readonly string[];
  readonly purchase: boolean;
  readonly seconds: string;
}

/** Prints the smallest set of changes. Exit code 1 where some row has less sound or picture than it could even then. */
export async function changesCommand(file: string, options: ChangesOptions): Promise<ExitCode> {
  const job = await readJobFile(file);
  for (const [option, names] of [
    ["--buy", options.buy ? [options.buy] : []],
    ["--van", options.van ?? []],
  ] as const)
    for (const name of names) if (!findArchetype(name)) throw new UnusableInput(`${option}: there is no “${name}” on the shelf.`);
  const limits = { clock: () => performance.now(), mostMs: wholeNumber("--seconds", options.seconds) * 1000 };
  const smallest = smallestChanges(job, {
    ...limits,
    ...(options.purchase ? { boxes: options.van ?? [] } : { kinds: ["setting", "plug"] as const }),
  });
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
    if (purchases?.length === 0) process.stdout.write("Buying that lifts nothing here on its own.\n");
  }
  return smallest.best.after.every(({ verdict, pictureLosses }) => verdict === "full" && pictureLosses.length === 0) ? 0 : 1;
}
