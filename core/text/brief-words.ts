import type { Brief } from "@/core/job";

/** Where each answer of the brief is used, said beside the question. */
export const BRIEF_USES: Readonly<Record<keyof Brief, string>> = {
  soundSystem: "Every row is judged at these speakers.",
  wishes: "The docket’s search finds it.",
  household: "On the printed map; the docket’s search finds it.",
  remotes: "With one: rows whose volume needs another are marked.",
  newsFrom: "News rows are judged there.",
  screensAtOnce: "One: plans may bring every player in by one input, in place of a matrix.",
  surround: "Stereo is enough: no change beyond two channels is proposed.",
  clearSpeech: "Clear: rows that lose their centre channel are marked.",
  budget: "A box that costs more is not proposed.",
  mayBuy: "Nothing else is proposed.",
  mustStay: "Neither removed nor replaced.",
  weighing: "Plans are ranked by it.",
  bonds: "Plans keep to them.",
  musts: "Every plan fulfils them.",
  hopes: "Plans that fulfil them rank higher.",
  runs: "The map refuses a new cable where none may run, and gives it the length written here.",
};
