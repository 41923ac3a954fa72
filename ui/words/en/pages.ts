/** Words of titles and pages of their own. */
export const pagesWords = {
  octachord: "Octachord",
  thisPageStopped: "This page stopped",
  stoppedWords: "What was saved is kept. Load the page again; if it stops again, export the job and start it from the file.",
  loadAgain: "Load again",
  damagedJob: "Damaged job",
  noSuchJob: "No such job",
  savedFromLog: "Its edit log restores the job as it was last saved.",
  savedFromLogUntil: (revision: number) =>
    `Its edit log can be read up to revision ${revision} and restores the job as it was then; later edits are lost.`,
  savedFromParts: "The readable parts of the document make a job with less in it.",
  titleTemplate: "%s · Octachord",
  description: "What really reaches the speakers, why not more, and what to do about it.",
  nothingStandsHere: "Nothing here",
  notFoundWords: "This job or page does not exist. The job may be in the bin, or the address may be incomplete.",
  backToTheDocket: "Back to the docket",
  docketTitle: "Docket · Octachord",
  signInTitle: "Sign in · Octachord",
  settingsTitle: "Settings · Octachord",
  joinTitle: "Five questions · Octachord",
  shelfTitle: "Shelf · Octachord",
  vanStockTitle: "Van stock · Octachord",
};
