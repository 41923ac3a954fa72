export { GearPlace } from "./gear-place";
export { socketMarks } from "./socket-marks";
