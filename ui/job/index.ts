export { EffectLine } from "./effect-line";
export { JobProvider, useIntents, useJob } from "./job-context";
export { JobFrame, ThemeSwitch } from "./job-frame";
export { Sheet } from "./sheet";
export { useChanges, type Changes } from "./use-changes";
