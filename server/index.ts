export { openDatabase, type Database } from "./database";
export { docketPage, type DocketPage } from "./docket-service";
export { healthOf, type Health } from "./health";
export { findJob, type StoredJob } from "./job-repository";
export { binJob, createEmptyJob, createJob, restoreJob, saveJob, SaveRequest, type SaveRefusal } from "./job-service";
export { database } from "./open";
export { dropOwnDevice, keepOwnDevice, ownDevices, type OwnDevice } from "./shelf-service";
