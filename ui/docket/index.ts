export { DamagedPlace } from "./damaged-place";
export { DocketPlace } from "./docket-place";
