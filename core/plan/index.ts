export { CHANGE_COST, CHANGE_KINDS, costOf, possibleChanges, type Change, type ChangeKind } from "./changes";
export { purchases } from "./purchase";
export { allowedKinds } from "./wished";
export { compareBoards, isAlike, type ComparedRow } from "./compare-boards";
export { excludesEachOther, together } from "./together";
export { movedRows, movesAnything, NOTHING_MOVED, type MovedRows, type NewTrouble } from "./moved-rows";
export { liftingChanges, weighedChanges, weighedPurchases, type WeighedChange } from "./single-changes";
export { commandOf, smallestChanges, type ChangeSet, type SearchOptions, type SmallestChanges } from "./smallest-changes";
export * from "./wiring";
