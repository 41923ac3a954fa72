export { EffectLine } from "./effect-line";
export { JobProvider, useIntents, useJob, useJobNews } from "./job-context";
export { JobFrame } from "./job-frame";
export { Notice } from "./notice";
export { Sheet } from "./sheet";
export { isTyping } from "./use-job-shortcuts";
export { useChanges, type Changes } from "./use-changes";
export { useActCures, useRoomCures } from "./use-cures";
