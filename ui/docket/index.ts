export { DocketPlace } from "./docket-place";
