export { DaysPlace } from "./days-place";
