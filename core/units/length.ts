import type { Quantity } from "./brand";

export type Metres = Quantity<"m">;

export const metres = (value: number) => value as Metres;

export type UnitSystem = "metric" | "imperial";

/** International foot: 0.3048 m exactly (international yard and pound agreement, 1959). */
const FOOT_M = 0.3048;

/** A length as a person of either system types it, in metres. */
export const metresOf = (value: number, units: UnitSystem): number => (units === "metric" ? value : Number((value * FOOT_M).toFixed(2)));

/** A length in metres as a person of either system reads it, at most two decimals. */
export const lengthIn = (length: number, units: UnitSystem): number =>
  Number((units === "metric" ? length : length / FOOT_M).toFixed(units === "metric" ? 2 : 1));

export const lengthUnit = (units: UnitSystem): string => (units === "metric" ? "m" : "ft");

/** "1.5 m", or "4.9 ft". */
export const formatLength = (length: number, units: UnitSystem): string => `${lengthIn(length, units)}\u2009${lengthUnit(units)}`;

/** "1.5 m": at most one decimal. */
export const formatMetres = (length: number) => `${Number(length.toFixed(1))}\u2009m`;
