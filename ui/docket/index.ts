export { keepingWarnings } from "./keeping-warnings";
export { DamagedPlace } from "./damaged-place";
export { DocketPlace } from "./docket-place";
