export { changesReport } from "./changes-report";
export { arrivalsReport, type ArrivalsReport } from "./arrivals-report";
export { BIN_DAYS, DOCKET_VERSION, docketSummary, type DocketLine, type DocketSummary } from "./docket-line";
export { cecReport } from "./cec-report";
export { plansReport } from "./plan-report";
export { planLists, planSheet, planTables } from "./plan-tables";
export { roomsReport, type RoomsReport } from "./room-report";
