export { BriefPlace } from "./brief-place";
