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

/** Fractions of an inch as a tape shows them. */
const FEET_AND_INCHES =
  /^(?:(\d+(?:\.\d+)?)\s*(?:'|′|ft|feet|foot))?\s*(?:(\d+(?:\.\d+)?)??\s*(?:(\d+)\s*\/\s*(\d+))?\s*(?:"|″|''|in|inch|inches)?)?$/i;
const METRIC = /^(\d+(?:[.,]\d+)?)\s*(m|cm|mm)?$/i;
const PER_METRE = { m: 1, cm: 100, mm: 1000 } as const;

/**
 * A length as a tape or laser shows it, in metres: "3.42", "342 cm", "11' 2 5/8\"", "10 ft". A bare number is metres or feet, as the
 * person's system has it. Null where it is none.
 */
export function readLength(text: string, units: UnitSystem): number | null {
  const typed = text.trim();
  const metric = METRIC.exec(typed);
  if (metric && (metric[2] !== undefined || units === "metric")) {
    const unit = (metric[2] ?? "m").toLowerCase() as keyof typeof PER_METRE;
    return Number(metric[1]?.replace(",", ".")) / PER_METRE[unit];
  }
  if (metric) return Number(metric[1]?.replace(",", ".")) * FOOT_M;
  const imperial = FEET_AND_INCHES.exec(typed);
  if (!imperial || !typed) return null;
  const [, feet, inches, over, under] = imperial;
  if (Number(under) === 0) return null;
  return Number(((Number(feet ?? 0) + (Number(inches ?? 0) + (over ? Number(over) / Number(under) : 0)) / 12) * FOOT_M).toFixed(5));
}
