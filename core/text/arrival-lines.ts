import type { Arrival } from "@/core/chain";
import type { Job } from "@/core/job";
import { formatMilliseconds } from "@/core/units";
import { BEST_OF_SYSTEM, isBestOfSystem, screenSpeakersSentence } from "./arrival-sentence";
import { cautionSentence } from "./caution-words";
import { deviceName } from "./names";
import { pictureLossSentence, pictureWords } from "./picture-words";
import { reasonSentence } from "./reason-words";
import { LIP_SYNC_WORDS, masterWords, playedWords, rowWords, verdictWords } from "./sound-words";

/** A row of the board with everything said about it, one fact on each line, for the command line and print. */
export function arrivalLines(job: Job, arrival: Arrival): readonly string[] {
  const path = arrival.losses.filter(({ scope }) => scope === "path");
  const ceilings = arrival.losses.filter(({ scope }) => scope === "ceiling");
  return [
    `${deviceName(job, arrival.player)}, ${rowWords(arrival)} (${masterWords(arrival)}): ${verdictWords(arrival)}; ${playedWords(arrival.plays, arrival.arrives)}.`,
    ...path.map(({ reason }) => reasonSentence(job, reason)),
    ...ceilings.map(({ reason }) => reasonSentence(job, reason)),
    ...(isBestOfSystem(arrival) ? [BEST_OF_SYSTEM] : []),
    ...(arrival.screenSpeakers ? [screenSpeakersSentence(job, arrival)] : []),
    ...timeLines(arrival),
    ...(arrival.picture ? [`Picture: ${pictureWords(arrival.picture)}.`] : []),
    ...arrival.pictureLosses.map((loss) => `Picture: ${pictureLossSentence(job, loss)}`),
    ...arrival.cautions.map((caution) => `Watch for: ${cautionSentence(job, caution)}`),
  ];
}

/** How late the sound plays, and how it is timed against the picture. */
function timeLines({ arrives, delayMs, lipSyncMs, lipSync }: Arrival): readonly string[] {
  if (!arrives) return [];
  const sound =
    delayMs === null ? "Sound: its delay is not known." : `Sound: plays ${formatMilliseconds(delayMs)} after it leaves the player.`;
  if (lipSyncMs === null || lipSync === null) return [sound];
  const side = lipSyncMs < 0 ? "before" : "after";
  const where = lipSyncMs === 0 ? "with the picture" : `${formatMilliseconds(Math.abs(lipSyncMs))} ${side} the picture`;
  return [sound, `Lip sync: sound ${where}, ${LIP_SYNC_WORDS[lipSync]}.`];
}
