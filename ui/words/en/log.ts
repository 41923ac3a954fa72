import { plural } from "@/core/text";

/** Words of the log of a job. */
export const logWords = {
  logOfTheJob: "Log of this job",
  readingTheLog: "The log is being read …",
  everySave: (total: number, told: number) =>
    `Every save, the newest first${told < total ? `; the last ${told} of ${total}` : ""}. Going back is an edit like any other and can be undone.`,
  now: "now",
  look: "Look",
  lookAtMoment: (words: string) => `Look at the job after: ${words}`,
  begunAs: {
    new: "the job was begun",
    import: "the job was taken in from a file",
    copy: "the job was copied from another",
    document: "a whole document was put in its place",
  },
  thenAndNow: (devicesThen: number, cablesThen: number, devices: number, cables: number) =>
    `Then ${plural(devicesThen, "device")} and ${plural(cablesThen, "cable")}, now ${devices} and ${cables}.`,
  boardWasTheSame: "The board was the same in every row.",
  wasNotThere: "not there then",
  isNotThere: "not there now",
  goBackTo: (steps: number) => `Go back to this moment (${plural(steps, "edit")} taken back)`,
  noWayBack: "A whole document was put in place since, so there is no way back by edits; export the job before you change it.",
};
