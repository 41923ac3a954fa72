export { HandoverPlace } from "./handover-place";
