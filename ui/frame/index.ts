export type { FindEntry } from "./find-dialog";
export { FindButton } from "./find-button";
export { OutsideFrame } from "./outside-frame";
