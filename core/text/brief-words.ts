import type { Brief } from "@/core/job";

/** Where each answer of the brief is used, said beside the question. */
export const BRIEF_USES: Readonly<Record<keyof Brief, string>> = {
  soundSystem: "Every row of Arrivals is judged at these speakers.",
  wishes: "Found by the search of the docket; nothing is computed from it.",
  household: "Found by the search of the docket; printed on the map.",
  remotes: "With one, Arrivals marks every row whose loudness needs another.",
  newsFrom: "Arrivals judges the news at the speakers named here.",
  surround: "Where plain sound is enough, no change is proposed for more than two channels.",
  clearSpeech: "Arrivals marks films, series and news whose centre channel is folded away.",
  budget: "A box of the van that costs more is not proposed.",
  mayBuy: "Changes that need anything else are not proposed.",
  mustStay: "These devices are neither removed nor replaced.",
  runs: "The map refuses a new cable where none may run, and gives it the length written here.",
};
