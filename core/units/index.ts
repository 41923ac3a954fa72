export type { Quantity } from "./brand";
export { addDelays, formatMilliseconds, milliseconds, type Milliseconds } from "./time";
export { formatLength, formatMetres, lengthIn, lengthUnit, metres, metresOf, readLength, type Metres, type UnitSystem } from "./length";
export {
  formatGigabits,
  formatMegabits,
  gigabitsFigure,
  gigabitsPerSecond,
  megabitsPerSecond,
  type GigabitsPerSecond,
  type MegabitsPerSecond,
} from "./rate";
