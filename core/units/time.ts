import type { Quantity } from "./brand";

export type Milliseconds = Quantity<"ms">;

export const milliseconds = (value: number) => value as Milliseconds;

/** Delays along one way add up. */
export const addDelays = (a: Milliseconds, b: Milliseconds) => milliseconds(a + b);

/** "38 ms", rounded to whole milliseconds; the sign is kept. */
export const formatMilliseconds = (time: number) => `${Math.round(time)}\u2009ms`;
