import { plural } from "@/core/text";

/** Words of the log of a job. */
export const logWords = {
  logOfTheJob: "Log of this job",
  readingTheLog: "Reading the log …",
  everySave: (total: number, told: number) =>
    `Every save, newest first${told < total ? `; the last ${told} of ${total}` : ""}. Going back is an edit like any other and can be undone.`,
  now: "now",
  look: "Look",
  lookAtMoment: (words: string) => `Look at the job after: ${words}`,
  begunAs: {
    new: "job created",
    import: "job imported from a file",
    copy: "job copied from another",
    document: "whole document replaced",
  },
  thenAndNow: (devicesThen: number, cablesThen: number, devices: number, cables: number) =>
    `Then ${plural(devicesThen, "device")} and ${plural(cablesThen, "cable")}, now ${devices} and ${cables}.`,
  boardWasTheSame: "The board was the same in every row.",
  wasNotThere: "not there then",
  isNotThere: "not there now",
  goBackTo: (steps: number) => `Go back to this moment (undoes ${plural(steps, "edit")})`,
  noWayBack: "The whole document was replaced since then, so it cannot be undone step by step; export the job before you change it.",
};
