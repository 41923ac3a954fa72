export { differenceOf, type RoomDifference } from "./differences";
export { runSheet, type RunSheet, type TimedStep } from "./run-sheet";
export { scheduleTasks, type Schedule, type Task } from "./schedule";
export { visitSteps } from "./derive-steps";
export type { OrderReason, StepAct, StepAfter, VisitStep } from "./step";
