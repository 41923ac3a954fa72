import { plural } from "@/core/text";

/** Words of the settings. */
export const settingsWords = {
  copies: "Copies of everything",
  noneOffThisMachine: "No backup has been taken off this machine yet. If its disk fails, every job is lost.",
  oldOffThisMachine: (at: string) =>
    `The last backup taken off this machine is from ${at}. If this disk fails, everything since then is lost.`,
  lastOffThisMachine: (at: string, file: string) => `The last backup taken off this machine is from ${at}: ${file}.`,
  ownCopies: (count: number, at: string, size: string, folder: string) =>
    `This machine also copies the database every day and keeps seven days and six months of copies: ${count} so far, the newest from ${at}, ${size}, in ${folder}. They are on the same disk and contain no photos.`,
  noOwnCopies: (folder: string) => `This machine also copies the database every day into ${folder}; there is no copy yet.`,
  makeBackup: "Download a backup of everything",
  everythingWords:
    "Everything can also be exported as one package of open files: jobs with photos, shelf, van, settings. Importing it into another Octachord adds to what is there and replaces nothing.",
  takeEverythingOut: "Export everything as files",
  bringEverythingIn: "Import a package",
  broughtIn: (jobs: number, devices: number, lines: number) =>
    `Imported: ${plural(jobs, "job")}, ${plural(devices, "device")} for the shelf, ${plural(lines, "line")} for the van.`,
  settingsCameIn: "The firm’s settings were imported too.",
  settingsStayed: "The settings here were kept.",
  photosLeftOut: (photos: readonly string[]) => `Left out, because the package has no picture for them: ${photos.join(", ")}.`,
  notBroughtIn: (file: string, why: string) => `${file} could not be imported. ${why}`,
  eraseACustomer: "Erase a customer",
  eraseWords: "Every job for this customer is erased for good, in the docket and in the bin: its document, its edit log and its photos.",
  customer: "Customer",
  chooseACustomer: "Choose a customer",
  noCustomer: "No job has a customer",
  keptOf: (jobs: number, inBin: number, photos: number) =>
    `${plural(jobs, "job")}${inBin ? `, ${inBin} of them in the bin` : ""}, ${plural(photos, "photo")}.`,
  erase: "Erase for good",
  eraseForGood: (customer: string) => `Erase every job for ${customer}?`,
  cannotBeTakenBack: "This cannot be undone.",
  keepThem: "Keep it",
  erasedOf: (customer: string) => `Erased for ${customer}:`,
  erasedJob: (job: string, saves: number, photos: number) =>
    `${job}: document, ${plural(saves, "log entry", "log entries")}, ${plural(photos, "photo")}`,
  copiesStillHoldThem:
    "Copies made before today still contain them: to remove those too, delete the files in the backup folder and the backups you took off this machine.",
  aPlayersOwnMedia: "A player’s own media",
  anApp: "An app",
  aTuner: "A tuner",
  theLook: "Appearance",
  theme: "Theme",
  asTheSystem: "as the system",
  forDimRooms: "for dim rooms",
  forDaylight: "for daylight",
  lengths: "Lengths",
  unitsOfLength: "Units of length",
  inMetres: "in metres",
  inFeet: "in feet",
  writtenAfterAmounts: "Written after amounts",
  theFirm: "The firm",
  theFirmForPrint: "The firm, for print",
  name: "Name",
  address: "Address",
  telephone: "Telephone",
  whatNewPlayersPlay: "What new players play",
  presetWords: "A player added from the shelf starts with these contents; with none chosen it starts with the usual ones for its kind.",
  saved: "Saved.",
  notKeptYet: "Not saved yet.",
  keep: "Save",
};
