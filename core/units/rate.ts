import type { Quantity } from "./brand";

export type MegabitsPerSecond = Quantity<"Mb/s">;
export type GigabitsPerSecond = Quantity<"Gb/s">;

/** A payload or link rate in megabits (10⁶ bits) per second. */
export const megabitsPerSecond = (value: number) => value as MegabitsPerSecond;

/** A picture link rate in gigabits (10⁹ bits) per second. */
export const gigabitsPerSecond = (value: number) => value as GigabitsPerSecond;

/** "24.6 Mb/s": one decimal, thin space before the unit. */
export const formatMegabits = (rate: number) => `${rate.toFixed(1)}\u2009Mb/s`;

/** "17.82": two decimals, because 17.82 and 18 must not look alike. */
export function gigabitsFigure(rate: number): string {
  // Half a hundredth is rounded up, as by hand: 22.275 is 22.28.
  const hundredths = Math.round(rate * 100 + 1e-6);
  return hundredths % 10 === 0 ? (hundredths / 100).toFixed(1) : (hundredths / 100).toFixed(2);
}

/** "17.82 Gb/s". */
export const formatGigabits = (rate: number) => `${gigabitsFigure(rate)}\u2009Gb/s`;
