export { NeedlePlace } from "./needle-place";
export { ProvePlace } from "./prove-place";
export { RunSheetPlace } from "./run-sheet-place";
export { ProofShape } from "./proof-shape";
export { useOwnName } from "./own-name";
export { useVisit, type Visit } from "./use-visit";
