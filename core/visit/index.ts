export type { JoinedCable } from "./step-id";
export { differenceOf, type RoomDifference } from "./differences";
export { runSheet, type RunSheet, type TimedStep } from "./run-sheet";
export { lastEntries, mergedEntries } from "./last-entries";
export {
  learnedMinutes,
  LEAST_STEPS,
  minutesOf,
  minutesTable,
  rangeOf,
  waitOf,
  USUAL_MINUTES,
  type LearnedMinutes,
  type MinutesRange,
  type MinutesTable,
} from "./minutes";
export { needOfSetting, type SettingNeed } from "./why-set";
export { followUps, type FollowUps } from "./follow-ups";
export { partsOfSteps, type FittedPart } from "./parts";
export { doneSteps, observationsOf, progressOf, settingLeft, type VisitProgress } from "./progress";
export { scheduleTasks, type Schedule, type Task } from "./schedule";
export { poweredOtherwise } from "./power-order";
export { visitSteps } from "./derive-steps";
export type { OrderReason, StepAct, StepAfter, VisitStep } from "./step";
