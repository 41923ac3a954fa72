import {
  isCure,
  type Case,
  type ObservedTrouble,
  type PastedTrouble,
  type Stand,
  type Suspect,
  type Symptom,
  type Trouble,
} from "@/core/diagnose";
import type { Job } from "@/core/job";
import { answerWords, type EventName } from "./step-words";
import { faultSentence, rowName } from "./fault-words";
import { deviceName, listed, lowerFirst, upperFirst } from "./names";
import { unitName } from "./unit-name";
import { chosenSoundSystem } from "@/core/job";

const TROUBLE_WORDS: Readonly<Record<Trouble, string>> = {
  silent: "no sound",
  "own-speakers": "sound from the screen’s own speakers",
  "no-picture": "no picture",
  less: "less surround than before",
  early: "sound before the picture",
  late: "sound after the picture",
  drifts: "sound and picture part after some minutes",
  "lesser-picture": "a lesser picture than before",
};

/** A complaint as a household tells it: "Streamer: no sound". */
export function symptomWords(job: Job, symptom: Symptom, event: EventName): string {
  switch (symptom.of) {
    case "all":
      return `Everything: ${TROUBLE_WORDS[symptom.trouble]}`;
    case "player":
      return `${deviceName(job, symptom.player)}: ${TROUBLE_WORDS[symptom.trouble]}`;
    case "row":
      return `${rowName(job, symptom.row)}: ${TROUBLE_WORDS[symptom.trouble]}`;
    case "act":
      return `${upperFirst(event(symptom.event))}: it does not go as it should`;
    case "speaker": {
      const device = chosenSoundSystem(job)?.id ?? "";
      const words = answerWords(job, { does: "tone", device, unit: symptom.unit }, symptom.heard);
      return `${upperFirst(unitName(job, { device, unit: symptom.unit }))}: ${lowerFirst(words)}`;
    }
  }
}

/** A suspect in one sentence; of two faults both. */
export const suspectSentence = (job: Job, { faults }: Suspect): string => faults.map((fault) => faultSentence(job, fault)).join(" And: ");

/** A probability as people say it. */
export const chanceWords = (share: number): string =>
  share >= 0.995 ? "nearly certain" : share < 0.01 ? "under 1\u2009%" : `${Math.round(share * 100)}\u2009%`;

/** Why this step is the next one. */
export function whySentence(job: Job, { given, belief, next }: Stand): string {
  if (!next) return "";
  const { row } = next;
  const order = [...belief.keys()].sort((a, b) => (belief[b] ?? 0) - (belief[a] ?? 0));
  if (isCure(row)) {
    const share = belief.reduce((sum, one, index) => (row.mends[index] ? sum + one : sum), 0);
    return `It puts right what is wrong with a chance of ${chanceWords(share)}, and trying it takes less time than asking more.`;
  }
  const [first, other] = apartBy(given, row.shows, order);
  if (first === undefined || other === undefined) return "It costs little, and a wrong answer so far would show.";
  const name = (index: number) => lowerFirst(suspectOf(given, index, job)).replace(/\.$/, "");
  return `It tells apart whether ${name(first)}, or ${name(other)}.`;
}

const suspectOf = ({ suspects }: Case, index: number, job: Job): string => {
  const suspect = suspects[index];
  return suspect ? suspectSentence(job, suspect) : "";
};

/** The two likeliest suspects between which a look decides. */
function apartBy(given: Case, shows: Int16Array, order: readonly number[]): readonly [number | undefined, number | undefined] {
  const [first] = order.filter((index) => given.suspects[index]?.faults[0]?.kind !== "unknown");
  const other = order.find((index) => first !== undefined && (shows[index] ?? -1) >= 0 && shows[index] !== shows[first]);
  return [first, other];
}

/** What to say where nothing explains what was seen. */
export const UNEXPLAINED_SENTENCE =
  "Nothing that this model knows explains all that was seen. Write down: the display of the sound system, the lamps, which players and contents fail and since when, the firmware of each device; take photos of the back plates.";

/** What is wrong with a list of observations. */
export function observedTroubleSentence(trouble: ObservedTrouble): string {
  switch (trouble.code) {
    case "no-such-symptom":
      return `There is no symptom “${trouble.id}” in this job; --symptoms lists those that there are.`;
    case "no-such-check":
      return `There is no check “${trouble.id}” in this job; --checks lists those that there are.`;
    case "no-such-answer":
      return `“${trouble.answer}” is no answer to “${trouble.id}”: expected ${listed(trouble.answers.map((one) => `“${one}”`)).replace(/ and (“[^”]*”)$/, " or $1")}.`;
  }
}

/** Why a pasted text answers nothing. */
export const PASTED_TROUBLE_WORDS: Readonly<Record<PastedTrouble["code"], string>> = {
  "no-edid": "No EDID could be read from it: paste its bytes as pairs of hexadecimal digits.",
  "no-frame": "No frame could be read from it: paste lines with bytes such as 4F:82:10:00.",
};
