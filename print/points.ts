/** A point is a 72nd of an inch. Source: ISO 32000-1 §8.3.2.3. */
export const POINTS_PER_MM = 72 / 25.4;
