export { STORED_VERSION } from "./stored-version";
export { migrate, STORED_KINDS, type StoredKind, type VersionStep, type VersionTrouble } from "./migrate";
