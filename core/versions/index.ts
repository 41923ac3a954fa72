export { migrate, STORED_KINDS, STORED_VERSION, type StoredKind, type VersionStep, type VersionTrouble } from "./migrate";
