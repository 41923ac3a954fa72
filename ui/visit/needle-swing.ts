/** The scale reaches so far to either side of the middle. */
export const NEEDLE_SPAN_MS = 400;
/** From one tick to the next. */
export const NEEDLE_PERIOD_MS = 2000;

/**
 * Where the needle is, in milliseconds from the middle, which it passes at every whole period: always from left to right, so that right of the
 * middle is always later; between two passes it rests at the right end.
 * @param ms since the first passing
 */
export function needleAt(ms: number): number {
  const from = ms - Math.round(ms / NEEDLE_PERIOD_MS) * NEEDLE_PERIOD_MS;
  return Math.min(NEEDLE_SPAN_MS, Math.max(-NEEDLE_SPAN_MS, from));
}

/** The ticks that sound between two moments, in milliseconds since the first passing of the middle. */
export function ticksBetween(fromMs: number, toMs: number, shiftMs: number): readonly number[] {
  const first = Math.ceil((fromMs - shiftMs) / NEEDLE_PERIOD_MS);
  const ticks: number[] = [];
  for (let round = first; round * NEEDLE_PERIOD_MS + shiftMs < toMs; round += 1) ticks.push(round * NEEDLE_PERIOD_MS + shiftMs);
  return ticks;
}
