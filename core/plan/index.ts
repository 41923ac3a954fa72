export { CHANGE_KINDS, liftingChanges, movedRows, possibleChanges, type Change, type WeighedChange } from "./single-changes";
