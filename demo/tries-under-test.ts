/** Whether the long forms run: `npm run prove`. */
export const IS_PROVING = Boolean(process.env.OCTACHORD_PROVE);

/**
 * How much a costly property tries: in `npm test` a few rooms that stay the same, in `npm run prove` all that is promised, other ones each time.
 * A seed that fails is printed with its room; put it into `seed` to see it again.
 */
export const tries = (few: number, all: number, seed: number): { readonly numRuns: number; readonly seed: number } =>
  IS_PROVING ? { numRuns: all, seed: Math.floor(Math.random() * 2 ** 31) } : { numRuns: few, seed };
