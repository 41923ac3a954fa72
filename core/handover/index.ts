export { householdSheet, type SheetSource } from "./sheet";
export {
  SHEET_SECTIONS,
  USES,
  type HouseholdSheet,
  type Missing,
  type PlainCause,
  type SheetCheck,
  type SheetFact,
  type SheetKey,
  type SheetLine,
  type SheetPress,
  type SheetSection,
  type SheetSectionId,
  type UsedPlayer,
  type Use,
} from "./sheet-facts";
export { dueOf, monthsLater, type Due } from "./due";
export { countedEntries, eventsOf, visitsOf, type PastVisit, type RecordedEvent } from "./visits";
export { likelyFaults, type LikelyFault } from "./likely";
export { replacedIn, replacementsOf } from "./replaced";
export { endVisit, type StateNames, type VisitEnd } from "./visit-end";
export { firmFigures, type CountedJob, type FirmFigures } from "./figures";
export { kindsOf, quirkOf, recurringTroubles, type JobHistory, type KindHistory, type KindOfDevice, type TroubleOfKind } from "./recurring";
