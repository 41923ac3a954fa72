export { changesReport } from "./changes-report";
export { arrivalsReport, type ArrivalsReport } from "./arrivals-report";
export { docketLine, type DocketLine } from "./docket-line";
