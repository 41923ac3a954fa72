import { isCure, standOf, type Step } from "@/core/diagnose";
import type { Level, PracticeRig, Score, StepGroup } from "@/core/practice";
import { eventWords } from "./control-words";
import { suspectSentence, whySentence } from "./diagnose-words";
import { lowerFirst } from "./names";
import { stepSentence } from "./step-words";
import { durationWords } from "./visit-words";

/** The ladders of practice, by name. */
export const LEVEL_WORDS: Readonly<Record<Level, string>> = {
  "back-plate": "Reading a back plate",
  socket: "Which socket",
  formats: "Formats and links",
  edid: "EDID",
  control: "Control",
  room: "The room",
  mixed: "Anything",
};

export const STEP_GROUP_WORDS: Readonly<Record<StepGroup, string>> = {
  ask: "Ask",
  look: "Look and listen",
  menu: "Keys and menus",
  power: "Power and firmware",
  plug: "Plugs and leads",
  speaker: "Speakers",
  part: "Parts",
};

/** What a step of a rig asks, by its id. */
export function rigStepSentence({ finder }: PracticeRig, check: string): string {
  const row = finder.singles.looks.find(({ id }) => id === check) ?? finder.singles.cures.find(({ id }) => id === check);
  if (!row) return check;
  const step: Step = isCure(row) ? row.cure : row.look;
  return stepSentence(finder.healthy.job, step, (event) => eventWords(finder.healthy.household, event));
}

/** How a line of checks went, in one sentence. */
export const scoreSentence = ({ minutes, bestMinutes, lostMinutes }: Score): string =>
  lostMinutes < 0.25
    ? `${durationWords(minutes)}: as quick as Fix itself.`
    : `${durationWords(minutes)}; Fix itself needs ${durationWords(bestMinutes)} here, so ${durationWords(lostMinutes)} were lost.`;

/** What was wrong in a rig. */
export const plantedSentence = ({ finder, planted }: PracticeRig): string => suspectSentence(finder.healthy.job, planted);

/** The moment that lost most: what was done, what it cost, and what would have told more. */
export function worstMomentSentences(rig: PracticeRig, { worst }: Score): readonly string[] {
  if (!worst) return ["No step lost half a minute or more."];
  const stand = standOf(rig.finder, rig.symptoms, worst.before);
  const why = stand.ok ? whySentence(rig.finder.healthy.job, stand.value) : "";
  return [
    `Step ${worst.at + 1} lost most, ${durationWords(worst.lostMinutes)} on average: ${lowerFirst(rigStepSentence(rig, worst.took))}`,
    `Better: ${lowerFirst(rigStepSentence(rig, worst.better))} ${why}`,
  ];
}
