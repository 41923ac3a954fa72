import type { ControlLink, PictureRun, PowerNeed } from "@/core/chain";
import type { Job } from "@/core/job";
import { formatGigabits, gigabitsFigure } from "@/core/units";
import { deviceName } from "./names";

const STOP_WORDS = {
  "takes-no-part": "does not support CEC",
  "switched-off": "has CEC off",
  "not-known": "may have CEC off or on",
} as const;
const STOP_FLAGS = { "takes-no-part": "no CEC", "switched-off": "CEC off", "not-known": "CEC?" } as const;

/** Whether control crosses a cable, as a sentence. */
export const controlSentence = (job: Job, link: ControlLink): string =>
  link.carries
    ? "HDMI control (CEC) crosses this cable."
    : `${deviceName(job, link.device)} ${STOP_WORDS[link.why]}, so control stops here.`;

/** The same in a word or two, for a socket on the map. */
export const controlFlag = (link: ControlLink): string => (link.carries ? "CEC" : STOP_FLAGS[link.why]);

/** What the picture layer says at a cable: "17.82 of 48.0 Gb/s". */
export const pictureRunWords = ({ needGbps, haveGbps }: PictureRun): string =>
  haveGbps === null ? formatGigabits(needGbps) : `${gigabitsFigure(needGbps)} of ${formatGigabits(haveGbps)}`;

export const POWER_WORDS: Readonly<Record<PowerNeed, string>> = {
  on: "must be on",
  "stand-by": "standby is enough",
  "not-known": "standby: not known",
};
