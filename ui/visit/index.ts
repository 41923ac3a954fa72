export { NeedlePlace } from "./needle-place";
export { ProvePlace } from "./prove-place";
export { RunSheetPlace } from "./run-sheet-place";
export { ProofShape } from "./proof-shape";
export { useVisit } from "./use-visit";
