export { DeviceFacts } from "./device-facts";
export { EdidPanel } from "./edid-panel";
export { SoundsField } from "./sounds-field";
