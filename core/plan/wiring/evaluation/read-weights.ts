import { MOST_WEIGHTS, Weights as WeightsSchema } from "@/core/job";
import { PRESET_NAMES, PRESETS, type Preset, type Weights } from "./weights";

/** What can be tuned, each with the most it may count. */
export const TUNABLE: Readonly<Record<keyof Weights, number>> = MOST_WEIGHTS;
export const TUNABLE_NAMES = Object.keys(TUNABLE) as (keyof Weights)[];

/** Weights as one word of an address, in the order of `TUNABLE_NAMES`. */
export const writeWeights = (weights: Weights): string => TUNABLE_NAMES.map((name) => weights[name]).join("_");

/** Reads such a word; null where it is none: six numbers from nothing to the most that each may count. */
export function readWeights(text: string): Weights | null {
  const values = text.split("_").map(Number);
  if (values.length !== TUNABLE_NAMES.length) return null;
  const [sound, picture, ease, money, hours, pulls] = values;
  const read = WeightsSchema.safeParse({ sound, picture, ease, money, hours, pulls });
  return read.success ? read.data : null;
}

/** The preset whose weights these are; null: they are tuned. */
export const presetOf = (weights: Weights): Preset | null =>
  PRESET_NAMES.find((name) => writeWeights(PRESETS[name]) === writeWeights(weights)) ?? null;
