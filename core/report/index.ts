export { changesReport } from "./changes-report";
export { arrivalsReport, type ArrivalsReport } from "./arrivals-report";
export { BIN_DAYS, DOCKET_VERSION, docketSummary, type DocketLine, type DocketSummary } from "./docket-line";
export { cecReport } from "./cec-report";
export { plansReport } from "./plan-report";
export { planLists, planSheet, planTables } from "./plan-tables";
export { roomsReport, type RoomsReport } from "./room-report";
export { proveReport, type ProveReport } from "./prove-report";
export { runSheetReport, type RunSheetReport } from "./run-sheet-report";
export { cableLabels, labelTable, type CableLabel } from "./cable-labels";
export { csvOf } from "./csv";
export { jobTables, type JobTable } from "./job-tables";
export { isReadFromPackage, jobFileText, PACKAGE_DOCUMENT, packageParts, packagePhoto, type PackagePart } from "./package-parts";
export { longDate, type PrintSetting } from "./documents/document-head";
export { householdDocument } from "./documents/household-document";
export type { PrintedPhoto } from "./documents/photo-blocks";
export { plansDocument } from "./documents/plans-document";
export { recordDocument, type RecordSource } from "./documents/record-document";
export { boardDocument, listsDocument, mapDocument, runSheetDocument } from "./documents/trade-documents";
export { visitBrief, type VisitBrief } from "./visit-brief";
export {
  answerChances,
  checksReport,
  diagnoseReport,
  faultsReport,
  symptomsReport,
  type DiagnoseReport,
  type FaultReport,
} from "./diagnose-report";
export { practiceReport, rigReport, scoreReport, takenWords, type RigReport, type ScoreReport } from "./practice-report";
