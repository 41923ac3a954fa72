export { differenceOf, type RoomDifference } from "./differences";
export { runSheet, type RunSheet, type TimedStep } from "./run-sheet";
export {
  lastEntries,
  mergedEntries,
  observationsOf,
  MOST_ENTRIES,
  progressOf,
  settingLeft,
  STEP_STATES,
  VisitEntry,
  type StepState,
  type VisitProgress,
} from "./record";
export { scheduleTasks, type Schedule, type Task } from "./schedule";
export { visitSteps } from "./derive-steps";
export type { OrderReason, StepAct, StepAfter, VisitStep } from "./step";
