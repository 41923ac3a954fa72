import { arrivalsOf, type Arrival } from "@/core/chain";
import type { Job } from "@/core/job";
import { weighedChanges, type WeighedChange } from "@/core/plan";
import { arrivalsReport } from "@/core/report";
import { arrivalLines, changeWords } from "@/core/text";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";
import { settingState } from "./setting-state";

/** How many changes of a kind the text form names; `--json` has them all. */
const MOST_NAMED = 3;

/** Prints the board. Exit code 1 when any row is less than all that the sound system can play, or its picture loses anything or is not guaranteed. */
export async function arrivalsCommand(file: string, options: { json?: boolean; as: string }): Promise<ExitCode> {
  const state = settingState(options.as);
  const job = await readJobFile(file);
  const arrivals = arrivalsOf(job, state);
  const isPerfect = arrivals.every(({ verdict, pictureLosses }) => verdict === "full" && pictureLosses.length === 0);
  const changes = isPerfect ? [] : weighedChanges(job, state);
  process.stdout.write(
    options.json ? `${JSON.stringify(arrivalsReport(job, arrivals, changes))}\n` : `${boardLines(job, arrivals, changes).join("\n")}\n`,
  );
  return isPerfect ? 0 : 1;
}

function boardLines(job: Job, arrivals: readonly Arrival[], changes: readonly WeighedChange[]): readonly string[] {
  const rows = arrivals.flatMap((arrival) => arrivalLines(job, arrival).map((line, index) => (index === 0 ? line : `    ${line}`)));
  const sound = changes.filter(({ lifts, lowers }) => lifts.length > 0 && lowers.length === 0).slice(0, MOST_NAMED);
  const picture = changes
    .filter(({ lifts, lowers, pictureLifts }) => lifts.length === 0 && pictureLifts.length > 0 && lowers.length === 0)
    .slice(0, MOST_NAMED);
  return [
    ...rows,
    ...sound.map((change) => `\nWould help: ${changeWords(job, change)} (lifts ${change.lifts.length}${worsens(change)}).`),
    ...picture.map(
      (change) => `\nWould improve the picture: ${changeWords(job, change)} (lifts ${change.pictureLifts.length}${worsens(change)}).`,
    ),
  ];
}

const worsens = ({ pictureLowers }: WeighedChange): string =>
  pictureLowers.length ? `; ${pictureLowers.length === 1 ? "1 picture gets" : `${pictureLowers.length} pictures get`} worse` : "";
