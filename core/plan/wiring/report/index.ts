export {
  type DelayLine,
  delaysOf,
  type ScheduleLine,
  scheduleOf,
  settingsSheetOf,
  type ShoppingLine,
  shoppingOf,
  soldLength,
} from "./lists";
export { planCommand } from "./plan-command";
export { pinnable, readAsked, readForbidden, readPin, readWishes, type WrittenWishes } from "./read-wishes";
