export { alignmentMs } from "./alignment";
export { ceilingPlane, heightAbove } from "./ceiling-plane";
export { onDial, type DialledTime } from "./dial-times";
export type { DialledLevel } from "./dial-levels";
export type { SheetLine, SpeechStep } from "./dialling-sheet";
export { readingOf } from "./distances";
export { type Move, type Placing, type SecondBest } from "./judge-placing";
export { axialModes, bassCurves, cuboidOf, STATED_RT60_S, type AxialMode, type BassCurve } from "./modes";
export { STUDS_MM, type AnchorClass, type Mounting } from "./mounting";
export { pairingSteps, type ChargePlan, type PairingStep, type ReachFault } from "./pairing";
export { gridFor } from "./spots";
export { proposePlaces, type Proposal } from "./propose";
export { roomAnswer, type RoomAnswer, type SystemAnswer } from "./room-answer";
export type { RoomTrouble } from "./room-troubles";
export { MOST_UP_DEG, VIEWING_DEG, type ScreenView } from "./screen-view";
export type { SeatEffect } from "./other-seats";
export { earsOf, facingOfUnit, lookOf, partnerOf, speakersOf, type Speaker } from "./speakers";
export { templateOf, type Template, type TemplateRefusal } from "./template";
export { layoutOf, mainSeat, roomOfDevice, sceneOf, type RoomScene, type RoomUnit } from "./units-in-room";
export { CEILING_M, type Spoiler, type UpFiring } from "./up-firing";
export { distanceBetween, facingOf, type Point } from "./vector";
export { boundsOf, isInside, nearestWall, rectangle, rectangleSize, wallsOf } from "./walls";
export { unitsWithWire, wireOhm, wireRuns, wireTotals, type Load, type WireRun } from "./wire";
export { bassSpots, type BassSpot } from "./bass-spots";
export {
  beginRoom,
  hasUnits,
  moveThing,
  newPlacement,
  partnerUnit,
  placeUnit,
  snappedToWall,
  spotOf,
  thingKey,
  thingOf,
  type Thing,
} from "./things";
export { crossesItself } from "./walls";
export { AGREES_M, compareHeard, readingsOf, type Compared, type HeardDifference } from "./heard";
