/** Words of documents for the trade that are printed for themselves. */
export const documentWords = {
  boardOf: (job: string) => `Arrivals: ${job}`,
  plansOf: (job: string) => `Plans: ${job}`,
  mapOf: (job: string) => `Map: ${job}`,
  listsOf: (job: string) => `Lists: ${job}`,
  runSheetOf: (job: string) => `Run sheet: ${job}`,
  devices: "Devices",
  deviceColumns: ["Device", "Maker", "Role", "Note"],
  stepColumns: ["Done", "No.", "Step", "Needs", "Time"],
  done: "done",
  runSheetTakes: (duration: string, people: 1 | 2) => `About ${duration} for ${people === 1 ? "one person" : "two people"}.`,
  tooManyToPlan: (players: number, most: number) =>
    `This room has ${players} players; plans are printed for rooms of up to ${most}. Plan it in parts.`,
  nothing: "Nothing yet.",
} as const;
