export { accessOfServer, COOKIE, cookieHeader, cookieOf, isLetIn } from "./access";
export { ask, type AskRefusal } from "./threads/ask";
export { findPhoto, keepPhoto, type AttachmentRefusal } from "./attachment-store";
export { openDatabase, type Database } from "./database";
export { backUpAll, backupState, packBackup, restoreBackup, type BackupState } from "./backup-service";
export { MOST_DAYS, visitDays, type DayVisit, type VisitDays } from "./days-service";
export { docketPage, jobNames, type DocketPage } from "./docket-service";
export { dueUntil, type DueInJob } from "./due-service";
export { customersKept, emptyBin, eraseCustomer, eraseJob, type CustomerKept, type ErasedJob } from "./erase-service";
export { bringIn, packEverything, type BroughtIn } from "./everything-service";
export { figuresOf } from "./figures-service";
export { healthOf, type Health } from "./health";
export { DamagedDocument, findJob, type StoredJob } from "./job-repository";
export { binJob, createJob, restoreJob, saveJob, SaveRequest, type SaveRefusal } from "./job-service";
export { logLine } from "./log-line";
export { jobThen, momentsOf, type JobThen, type Moment } from "./log-service";
export { database } from "./open";
export { ownAddresses } from "./own-addresses";
export { keepPreferences, preferences } from "./preferences-service";
export { printJob, type PrintWish } from "./print-service";
export { damagedJob, salvageStored, type DamagedJob, type SavedJob } from "./recovery-service";
export { changeOwnDevice, dropOwnDevice, importOwnDevices, keepOwnDevice, ownDevices, type OwnDevice } from "./shelf-service";
export {
  addStock,
  adjustStock,
  changeStock,
  dropStock,
  fitParts,
  jobParts,
  stockItems,
  stockLines,
  type FitRefusal,
  type JobParts,
} from "./stock-service";
export { firmFaults, firmMinutes, keepEntries, visitRecord, withRecord, type KeptVisit, type VisitRefusal } from "./visit-service";
export { storageTrouble } from "./storage-trouble";
export type { DamagedRow } from "./stored";
export { copyJob, importJob, packJob, startJob, type ImportRefusal } from "./transfer-service";
