import type { ControlLink } from "@/core/cec";
import type { PictureRun, PowerNeed } from "@/core/chain";
import type { Job } from "@/core/job";
import { formatGigabits, gigabitsFigure } from "@/core/units";
import { cutSentence } from "./cec-words";
import { deviceName } from "./names";

const APART_WORDS = {
  "switched-off": "has CEC off, so it neither sends nor obeys HDMI control",
  "not-known": "may have CEC off or on, so nobody knows whether it takes part",
} as const;
const APART_FLAGS = { "switched-off": "CEC off", "not-known": "CEC?" } as const;

/** Whether control crosses a cable, as a sentence. */
export function controlSentence(job: Job, link: ControlLink): string {
  if (link.carries) return "HDMI control (CEC) crosses this cable.";
  if (!("cut" in link)) return `${deviceName(job, link.device)} ${APART_WORDS[link.why]}.`;
  const { cut } = link;
  return cut.at === "device"
    ? `${deviceName(job, cut.device)} does not support CEC, so control stops here.`
    : `${cutSentence(job, cut)} Control stops here.`;
}

/** The same in a word or two, for a socket on the map. */
export const controlFlag = (link: ControlLink): string => (link.carries ? "CEC" : "cut" in link ? "no CEC" : APART_FLAGS[link.why]);

/** What the picture layer says at a cable: "17.82 of 48.0 Gb/s". */
export const pictureRunWords = ({ needGbps, haveGbps }: PictureRun): string =>
  haveGbps === null ? formatGigabits(needGbps) : `${gigabitsFigure(needGbps)} of ${formatGigabits(haveGbps)}`;

export const POWER_WORDS: Readonly<Record<PowerNeed, string>> = {
  on: "must be on",
  "stand-by": "standby is enough",
  "not-known": "standby: not known",
};
