import type { Arrival } from "@/core/chain";
import type { Job } from "@/core/job";
import { deviceName, upperFirst } from "./names";
import { reasonSentence } from "./reason-words";
import { lineageWords, masterWords, playedWords, rowWords, streamWords, verdictWords } from "./sound-words";

/** A row of the board as one spoken text: the cord for ears instead of eyes. */
export function arrivalSentence(job: Job, arrival: Arrival): string {
  const head = `${deviceName(job, arrival.player)}, ${rowWords(arrival)}, ${masterWords(arrival)}. ${verdictWords(arrival)}:`;
  const end = arrival.arrives
    ? `${lineageWords(arrival.arrives)} arrives, ${playedWords(arrival.plays, arrival.arrives)}.`
    : arrival.verdict === "unknown"
      ? "a fact is missing."
      : "nothing reaches the sound system.";
  const loss = arrival.losses.find(({ scope }) => scope === "path");
  const ceilings = arrival.losses.filter(({ scope }) => scope === "ceiling");
  return [
    head,
    end,
    ...(loss ? [reasonSentence(job, loss.reason)] : []),
    ...ceilings.map(({ reason }) => reasonSentence(job, reason)),
    ...(isBestOfSystem(arrival) ? [BEST_OF_SYSTEM] : []),
    ...(arrival.screenSpeakers ? [screenSpeakersSentence(job, arrival)] : []),
  ].join(" ");
}

/** Whether a row that is not full is still the best that its sound system can take of the content. */
export const isBestOfSystem = ({ verdict, kept }: Pick<Arrival, "verdict" | "kept">): boolean =>
  verdict === "reduced" && kept !== null && Object.values(kept).every((share) => share === 1);

export const BEST_OF_SYSTEM = "This is the best this sound system can accept.";

/** What could play and what does: the first lines of the margin. */
export function storyWords(arrival: Arrival): string {
  const could = arrival.best
    ? `${upperFirst(streamWords(arrival.best))} could play.`
    : "The sound system can play nothing of this content.";
  if (arrival.verdict === "unknown") return `${could} What does is not known.`;
  if (!arrival.arrives) return `${could} Nothing does.`;
  if (arrival.losses.some(({ reason }) => reason.code === "decode-mode"))
    return `${streamWords(arrival.arrives)} arrives; only ${arrival.plays?.layout ?? "nothing"} of it plays.`;
  if (isBestOfSystem(arrival)) return `${upperFirst(lineageWords(arrival.arrives))} arrives. ${BEST_OF_SYSTEM}`;
  return arrival.verdict === "full" && arrival.best?.coding === arrival.arrives.coding
    ? `${upperFirst(streamWords(arrival.arrives))} could play, and does.`
    : `${could} ${lineageWords(arrival.arrives)}, does.`;
}

/** "Television plays 2.0 from its own speakers." */
export const screenSpeakersSentence = (job: Job, arrival: Arrival): string =>
  arrival.screenSpeakers && arrival.screen
    ? `${deviceName(job, arrival.screen)} plays ${arrival.screenSpeakers.layout} from its own speakers.`
    : "";
