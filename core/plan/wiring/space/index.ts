export { atHand, boxOfShelf } from "./at-hand";
export { hasBond, pinnedPort } from "./bonds";
export { choicesOf, combinations, menusOf, type SettingChoice, undecided, withSettings } from "./hub-settings";
export { jobWith } from "./job-with";
export { cartesianProduct, groupBy } from "./product";
export { type FarEnd, isSeenAlone, type LeadsFrom, mayPassAsleep, type Reach, reachOf, seenAloneFrom, withoutShutWays } from "./reach";
export {
  firstPort,
  hdmiOutputs,
  inputKinds,
  isTaken,
  likeOutputs,
  NO_SOCKETS,
  returnKinds,
  type SocketKind,
  takenBy,
  type TakenSockets,
} from "./sockets";
export {
  type AtHand,
  type Bond,
  type BoxAtHand,
  type CableAtHand,
  findPlayer,
  hasOwnLead,
  hdmiOut,
  type Must,
  type PlanWishes,
  sitsIn,
  wiringSpace,
  type WiringSpace,
  wishesOf,
} from "./space";
export { equalsOf, setLike, type StandIn, standInOf } from "./stand-in";
export { servesAs, suppliedBy } from "./supply";
export { hasAdapter, isLead, isUnchanged, mayLay, type Wire, wiresBetween } from "./wires";
