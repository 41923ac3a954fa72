export { DependencyMemo, JobFacts, type MemoEntry } from "./dependency-memo";
export { SettingMemo } from "./setting-memo";
