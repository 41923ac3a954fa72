import { arrivalsOf, type Arrival } from "@/core/chain";
import type { Job } from "@/core/job";
import { weighedChanges } from "@/core/plan";
import { arrivalsReport } from "@/core/report";
import {
  cautionSentence,
  changeWords,
  deviceName,
  masterWords,
  pictureLossSentence,
  pictureWords,
  playedWords,
  reasonSentence,
  rowWords,
  screenSpeakersSentence,
  VERDICT_WORDS,
} from "@/core/text";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";
import { settingState } from "./setting-state";

/** Prints the board. Exit code 1 when any row is less than all of it. */
export async function arrivalsCommand(file: string, options: { json?: boolean; as: string }): Promise<ExitCode> {
  const state = settingState(options.as);
  const job = await readJobFile(file);
  const arrivals = arrivalsOf(job, state);
  const isPerfect = arrivals.every(({ verdict, pictureLosses }) => verdict === "full" && pictureLosses.length === 0);
  const changes = isPerfect ? [] : weighedChanges(job, state);
  if (options.json) {
    process.stdout.write(`${JSON.stringify(arrivalsReport(job, arrivals, changes))}\n`);
  } else {
    for (const arrival of arrivals) process.stdout.write(`${rowText(job, arrival)}\n`);
    for (const change of changes.filter(({ lifts, lowers }) => lifts.length > 0 && lowers.length === 0).slice(0, 3)) {
      process.stdout.write(`\nWould help: ${changeWords(job, change)} (lifts ${change.lifts.length}).\n`);
    }
  }
  return arrivals.every(({ verdict }) => verdict === "full") ? 0 : 1;
}

function rowText(job: Job, arrival: Arrival): string {
  const head = `${deviceName(job, arrival.player)}, ${rowWords(arrival)} (${masterWords(arrival)}): ${VERDICT_WORDS[arrival.verdict]}; ${playedWords(arrival.plays, arrival.arrives)}`;
  const delay = arrival.delayMs === null ? "" : `, ${arrival.delayMs} ms`;
  const told = arrival.losses.filter(({ reason, scope }) => scope === "path" || reason.code === "decode-mode");
  const lines = told.map(({ reason }) => `    ${reasonSentence(job, reason)}`);
  const picture = [
    ...(arrival.picture ? [`    Picture: ${pictureWords(arrival.picture)}.`] : []),
    ...arrival.pictureLosses.map((loss) => `    Picture: ${pictureLossSentence(job, loss)}`),
  ];
  const cautions = arrival.cautions.map((caution) => `    Mind: ${cautionSentence(job, caution)}`);
  const screen = arrival.screenSpeakers ? [`    ${screenSpeakersSentence(job, arrival)}`] : [];
  return [`${head}${delay}.`, ...lines, ...screen, ...picture, ...cautions].join("\n");
}
