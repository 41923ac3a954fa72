export { ControlPlace } from "./control-place";
