export { planDays, type PlannedDay, type PlannedVisit, type VisitToPlan } from "./plan-days";
export { loadOf, type LoadLine, type LoadWanted } from "./load";
