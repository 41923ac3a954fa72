import { plural } from "@/core/text";

/** Words of Figures: what the firm's own jobs tell it. */
export const figuresWords = {
  intro: (jobs: number) =>
    `Counted from ${plural(jobs, "job")} of this docket and their records. Nothing is typed in, and nothing leaves this machine.`,
  nothingYet: "Nothing to count yet",
  nothingYetWords: "Figures come from visits that were closed on Handover, from Prove and from Fix.",
  toTheDocket: "To the docket",
  minutes: "Minutes planned and taken",
  planned: "planned",
  taken: "taken",
  visitsTotal: (visits: number, planned: string, taken: string) => `${plural(visits, "visit")}: ${planned} planned, ${taken} taken.`,
  board: "Rows with all that can be played",
  boardWords: (jobs: number, rows: number, found: number, left: number) =>
    `${plural(jobs, "job")} handed over: ${found} of ${rows} rows as found, ${left} as left.`,
  asFound: "as found",
  asLeft: "as left",
  proof: "Proof",
  proofWords: (proven: number, otherwise: number) =>
    `${proven} of ${plural(proven + otherwise, "check")} as predicted, ${otherwise} otherwise.`,
  asPredicted: "as predicted",
  otherwise: "otherwise",
  losses: "Commonest losses",
  lossesWords: "Rows of all boards that lose something on the way, by the first reason.",
  faults: "Faults found",
  cures: "What mended them",
  none: "None yet.",
  rows: "rows",
  times: "times",
} as const;
