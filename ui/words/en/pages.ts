/** Words of titles and pages of their own. */
export const pagesWords = {
  thisPageStopped: "This page stopped",
  stoppedWords: "What was saved is kept. Load the page again; if it stops again, export the job and start it from the file.",
  loadAgain: "Load again",
  damagedJob: "Damaged job",
  noSuchJob: "No such job",
  savedFromLog: "The log of its edits gives the job as it was last saved.",
  savedFromLogUntil: (revision: number) =>
    `The log of its edits reads up to revision ${revision} and gives the job as it was then; what was edited after that is lost.`,
  savedFromParts: "The parts of the document that read give a job with less in it.",
  titleTemplate: "%s · Octachord",
  description: "What really reaches the speakers, why not more, and what to do about it.",
  nothingStandsHere: "Nothing stands here",
  notFoundWords: "This job or page is not there. The job may lie in the bin, or the address may be cut short.",
  backToTheDocket: "Back to the docket",
  docketTitle: "Docket · Octachord",
  signInTitle: "Sign in · Octachord",
  settingsTitle: "Settings · Octachord",
  joinTitle: "Five questions · Octachord",
  shelfTitle: "Shelf · Octachord",
  vanStockTitle: "Van stock · Octachord",
};
