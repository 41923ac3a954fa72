/** Milliseconds of a day. */
export const DAY_MS = 86_400_000;
