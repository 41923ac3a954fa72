/** Width of the part of the score where the strings run, in its own units. */
export const STAFF_WIDTH = 460;
/** Where the first bar line stands. */
export const STAFF_LEFT = 12;
/** Kept free after the last bar line, for what plays. */
const END = 60;

/** Where each of `count` bar lines stands, and the far end after the last. */
export function staffXs(count: number): readonly number[] {
  const last = STAFF_WIDTH - END;
  const step = count > 1 ? (last - STAFF_LEFT) / (count - 1) : 0;
  return [...Array.from({ length: count }, (_, index) => STAFF_LEFT + index * step), STAFF_WIDTH - 6];
}
