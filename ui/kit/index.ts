export { Choice } from "./choice";
export { CordView } from "./cord";
export { CordLegend } from "./cord-legend";
export { cordOf, type Cord, type CordStop } from "./cord-model";
export { CordThumbnail } from "./cord-thumbnail";
export { passedDevices, scoreColumns, stopsOf, type ScoreColumn } from "./score-columns";
export { PickList, type PickRow } from "./pick-list";
export { SocketShape } from "./socket-shape";
export { VerdictMark, VerdictShape } from "./verdict-mark";
