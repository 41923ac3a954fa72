export { RunSheetPlace } from "./run-sheet-place";
