export type { Quantity } from "./brand";
export { addDelays, formatMilliseconds, milliseconds, type Milliseconds } from "./time";
export { formatMetres, metres, type Metres } from "./length";
export {
  formatGigabits,
  formatMegabits,
  gigabitsPerSecond,
  megabitsPerSecond,
  type GigabitsPerSecond,
  type MegabitsPerSecond,
} from "./rate";
