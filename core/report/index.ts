export { arrivalsReport, type ArrivalsReport } from "./arrivals-report";
