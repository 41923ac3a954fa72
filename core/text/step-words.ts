import type { Miss } from "@/core/cec";
import type { Cure, Look, Step } from "@/core/diagnose";
import { settingFact, type Coding } from "@/core/facts";
import type { Job } from "@/core/job";
import { missSentence } from "./control-words";
import { cableWithMark, plugWords, rowName, wantedValue } from "./fault-words";
import { deviceName, listed, lowerFirst, socketName, upperFirst } from "./names";
import { unitName } from "./unit-name";
import { codingName } from "./sound-words";

/** How an act is called, where the household that plays it is at hand. */
export type EventName = (event: string) => string;

/** What to do in a step of a search, in one sentence. */
export function stepSentence(job: Job, step: Step, event: EventName): string {
  switch (step.does) {
    case "ask":
      return step.about === "changed" ? "Ask what was changed just before." : "Ask since when, and whether it comes and goes.";
    case "ask-players":
      return "Ask which players have the trouble with everything they play.";
    case "play":
      return `Play this: ${rowName(job, step.row)}. What do you hear, and what does the display of the sound system say?`;
    case "act":
      return `Try this: ${event(step.event)}. What happens?`;
    case "lamp":
      return `Look at the lamp of ${deviceName(job, step.device)}.`;
    case "panel":
      return `Look at the display or lamp of the sound system: does it show the return channel on ${cableWithMark(job, step.cable)}?`;
    case "red-light":
      return `Pull the far end of ${cableWithMark(job, step.cable)} and look at its tip: is there red light?`;
    case "found-list":
      return `Open the list of devices that ${deviceName(job, step.device)} has found (${settingFact("cec").lookIn}).`;
    case "format-list":
      return `Open the list of sound formats at ${deviceName(job, step.device)} (${settingFact("player-audio").lookIn}).`;
    case "bypass":
      return `Leave ${deviceName(job, step.device)} out: put the plug that goes into it where its own plug goes, and play ${rowName(job, step.row)}. What do you hear?`;
    case "tone":
      return `Send a test tone to the ${lowerFirst(unitName(job, step))}.`;
    default:
      return cureSentence(job, step);
  }
}

/** A step that was taken, with what it showed: "Look at the lamp of Receiver. It is on." */
export const takenSentence = (step: string, answer: string): string => `${step} ${answer}${answer.endsWith(".") ? "" : "."}`;

/** What a cure is, as an instruction. */
export function cureSentence(job: Job, cure: Cure): string {
  const device = "device" in cure ? deviceName(job, cure.device) : "";
  switch (cure.does) {
    case "set":
      return `Look at “${settingFact(cure.setting).name}” of ${device}: it should be ${wantedValue(job, cure.device, cure.setting)}. Set it so if it is not.`;
    case "seat":
      return `Look at ${plugWords(job, cure.cable, cure.side)}: is it in this socket, free of a cap, and fully in? Push it home.`;
    case "turn":
      return `Look at the arrows on ${cableWithMark(job, cure.cable)}, and turn it round if it is backwards.`;
    case "lead":
      return `Use another lead in place of ${cableWithMark(job, cure.cable)}, a good one from the van.`;
    case "power":
      return `Look whether ${device} has power: its mains plug, its strip, its switch.`;
    case "own-key":
      return `Press the power key of ${device} itself, off and on, and wait 20 seconds.`;
    case "restart":
      return `Restart ${device}.`;
    case "cycle":
      return "Switch everything off at the mains, wait half a minute, then on again: boxes first, then players, the screen, the sound system last.";
    case "unpair":
      return `Look at the Bluetooth menu of ${device}, and disconnect any headphones.`;
    case "update":
      return `Update the firmware of ${device}.`;
    case "other-title":
      return `Play another title in place of ${rowName(job, cure.row)}, one that names surround on its own page.`;
    case "take-pcm":
      return `Set ${device} to PCM, if sound and picture part with its bitstream.`;
    case "go-round":
      return `Lead protected pictures past ${socketName(job, cure)}, or send 1080p.`;
    case "unit":
      return unitCureSentence(job, cure);
    case "other-socket":
      return `Move the plug at ${socketName(job, cure)} to another socket of the same kind.`;
    case "replace":
      return cure.unit === undefined
        ? `Try another ${device} in its place; only then think of a new one.`
        : `Try the ${lowerFirst(unitName(job, { device: cure.device, unit: cure.unit }))} at another output; only then think of a new one.`;
    case "follow-arrivals":
      return "Nothing is broken: do what Arrivals offers for this row, or explain why no more is possible.";
  }
}

function unitCureSentence(job: Job, cure: Extract<Cure, { does: "unit" }>): string {
  const unit = lowerFirst(unitName(job, cure));
  switch (cure.to) {
    case "pair":
      return `Look at the lamp of the ${unit}; pair it again if it blinks.`;
    case "charge":
      return `Look at the battery of the ${unit}; put it on its charger.`;
    case "place":
      return `Look where the ${unit} stands, and put it in its own place.`;
    case "sides":
      return `Look at the wires of the ${unit} and its partner at the amplifier: left to left, right to right.`;
    case "wire":
      return `Look at the wire of the ${unit} at both ends: red to red, black to black.`;
  }
}

const CHANGED: Readonly<Record<string, string>> = {
  nothing: "Nothing that they know of",
  "a-menu": "Something in a menu",
  "a-plug": "A cable was plugged",
  moved: "Furniture or gear was moved, or cleaned",
  "an-update": "An update",
  "a-power-cut": "A power cut, or a mains plug",
  "a-new-device": "A new device",
  "a-title": "Another title or service",
  "since-a-day": "It worked before, and now it never does",
  "never-worked": "It has never worked",
  "comes-and-goes": "It comes and goes",
};

/** What an answer to a step says, as on its button. */
export function answerWords(job: Job, step: Step, answer: string): string {
  switch (answer) {
    case "something-else":
      return "Something else";
    case "not-known":
      return "Cannot tell";
    case "mended":
      return "It was wrong, and now all is well";
    case "was-right":
      return isBlind(step) ? "No change" : "It was right";
    case "changed-nothing":
      return "It was wrong, but putting it right did not help";
    default:
      return lookAnswerWords(job, step as Look, answer);
  }
}

/** A cure at which nobody sees whether there was anything to mend. */
const isBlind = ({ does }: Step): boolean =>
  does === "lead" ||
  does === "restart" ||
  does === "cycle" ||
  does === "own-key" ||
  does === "replace" ||
  does === "other-socket" ||
  does === "go-round";

function lookAnswerWords(job: Job, look: Look, answer: string): string {
  const names = (ids: string) => listed(ids.split("+").map((id) => deviceName(job, id)));
  switch (look.does) {
    case "ask":
      return CHANGED[answer] ?? answer;
    case "ask-players":
      return answer === "none" ? "None of them with everything" : names(answer);
    case "play":
    case "bypass":
      return rowSeenWords(answer);
    case "act":
      return actSeenWords(job, answer);
    case "lamp":
      return { on: "It is on", standby: "It is in standby", off: "It is dark" }[answer] ?? answer;
    case "panel":
      return { earc: "It shows eARC", arc: "It shows ARC", nothing: "It shows no return channel" }[answer] ?? answer;
    case "red-light":
      return answer === "light" ? "Red light" : "Dark";
    case "found-list":
      return answer === "off" ? "The list is switched off" : answer === "nobody" ? "The list is empty" : `It lists ${names(answer)}`;
    case "format-list":
      return formatListWords(answer);
    case "tone":
      return (
        {
          plays: "It plays, in its place",
          nothing: "Nothing",
          "from-the-other-side": "It comes from the other side",
          hollow: "It sounds hollow, with little bass",
          "from-the-wrong-place": "It comes from another place",
        }[answer] ?? answer
      );
  }
}

/** What was seen of a content: "Dolby Digital 5.1; 5.1 plays". */
export function rowSeenWords(shown: string): string {
  switch (shown) {
    case "silent":
      return "No sound";
    case "no-picture":
      return "No picture";
    case "own-speakers":
      return "Sound from the screen’s own speakers";
  }
  const [coding = "", channels = "", ...rest] = shown.split(" ");
  const plays = rest.find((word) => word.startsWith("plays-"))?.slice("plays-".length);
  const [layout, spread] = (plays ?? "").split("-");
  return [
    `${codingName(coding as Coding)} ${channels}${rest.includes("objects") ? " with objects" : ""}`,
    ...(plays ? [`${layout} plays${spread ? ", spread to all speakers" : ""}`] : []),
    ...(rest.includes("early") ? ["sound before the picture"] : []),
    ...(rest.includes("late") ? ["sound after the picture"] : []),
    ...(rest.includes("drifts") ? ["after some minutes out of step"] : []),
    ...(rest.includes("lesser-picture") ? ["a lesser picture"] : []),
  ].join("; ");
}

/** What was seen of an act, from the names of what went otherwise. */
export function actSeenWords(job: Job, shown: string): string {
  if (shown === "as-wished") return "As it should";
  if (shown === "unstable") return "Devices take the screen from each other";
  if (shown === "nothing") return "Nothing at all";
  return shown
    .split("+")
    .map((one) => {
      const [miss, device] = one.split("/");
      return missSentence(job, (device === undefined ? { miss } : { miss, device }) as Miss);
    })
    .join(" ");
}

function formatListWords(answer: string): string {
  if (answer === "nothing") return "The list is empty";
  if (answer === "not-known") return "It cannot be read";
  return upperFirst(
    listed(
      answer.split("+").map((one) => {
        const [coding = "", channels = "", objects] = one.split(" ");
        return `${codingName(coding as Coding)} ${channels}${objects ? " with objects" : ""}`;
      }),
    ),
  );
}
