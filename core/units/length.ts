import type { Quantity } from "./brand";

export type Metres = Quantity<"m">;

export const metres = (value: number) => value as Metres;

/** "1.5 m": at most one decimal. */
export const formatMetres = (length: number) => `${Number(length.toFixed(1))}\u2009m`;
