export { bestAssignment, type Assignment, type WorthTable } from "./assignment";
export { smallestConflict, type WishConflict, type Wished } from "./conflict";
export { readMust, readWant } from "./musts";
export { atHand, boxOfShelf } from "./at-hand";
export { type PlanFigures } from "./figures";
export { failingActs } from "./everyday-acts";
export {
  delaysOf,
  scheduleOf,
  settingsSheetOf,
  shoppingOf,
  soldLength,
  type DelayLine,
  type ScheduleLine,
  type ShoppingLine,
} from "./lists";
export { planCommand } from "./plan-command";
export { pinnable, readAsked, readForbidden, readPin, readWishes, type WrittenWishes } from "./read-bond";
export { presetOf, readWeights, TUNABLE, TUNABLE_NAMES, writeWeights } from "./read-weights";
export { SCHOOLS, type School } from "./schools";
export { isCutOff } from "./leads";
export type { WiringPlan } from "./make-plan";
export { checkedPlans, type CheckedSearch } from "./polish";
export { checkPlan, worthOfRoom, type BetterNeighbour, type PlanCheck } from "./check";
export { searchPlans, type PlanOptions, type PlanSearch } from "./search";
export {
  wiringSpace,
  wishesOf,
  type AtHand,
  type Bond,
  type BoxAtHand,
  type CableAtHand,
  type Must,
  type PlanWishes,
  type WiringSpace,
} from "./space";
export { PRESETS, PRESET_NAMES, weightsOf, type Preset, type Weights } from "./weights";
export type { Trade, TradedPlan } from "./trade";
export { MOST_TRADES, tradesOf, type Trades } from "./trades";
export { unseenOn, type Unseen } from "./unseen";
export { whatIfs, type Supposition, type WhatIf } from "./what-if";
export { whyNot, type WhyNot } from "./why-not";
