/** Words in drawings that are printed or saved: the map, its list, legend and title block, and the bar lines of the score. */
export const drawingWords = {
  wiringMap: "Wiring map",
  mapOf: (job: string) => `${job}: wiring map`,
  cableColumns: ["No.", "Label", "Class", "Length", "From", "To"],
  oneWay: "one way",
  lossless: "lossless",
  lossy: "lossy, as delivered",
  reEncoded: "re-encoded on the way",
  soundStops: "sound of this row stops here",
  objects: "objects",
  stringsOf: (player: string, row: string, verdict: string) => `Strings: ${player}, ${row}: ${verdict}`,
  dated: (date: string, revision: number | null) => (revision === null ? date : `${date} · revision ${revision}`),
  pictureNeeds: (rate: string) => `The picture needs ${rate} here`,
  delayNotKnown: "delay not known",
  leaves: "leaves",
  soundSystem: "sound system",
  return: "return",
} as const;
