export { FixPlace } from "./fix-place";
export { Suspects } from "./suspects";
export { SuspectMap } from "./suspect-map";
