import { PRESET_NAMES, PRESETS, type Preset, type Weights } from "./weights";

/** What can be tuned, each with the most it may count; half of that is already much. */
export const TUNABLE = { sound: 100, picture: 100, ease: 100, money: 40, hours: 40, pulls: 40 } as const satisfies Record<
  keyof Weights,
  number
>;
export const TUNABLE_NAMES = Object.keys(TUNABLE) as (keyof Weights)[];

/** Weights as one word of an address, in the order of `TUNABLE_NAMES`. */
export const writeWeights = (weights: Weights): string => TUNABLE_NAMES.map((name) => weights[name]).join("_");

/** Reads such a word; null where it is none: six numbers from nothing to the most that each may count. */
export function readWeights(text: string): Weights | null {
  const values = text.split("_").map(Number);
  if (values.length !== TUNABLE_NAMES.length) return null;
  const isFit = TUNABLE_NAMES.every((name, index) => {
    const value = values[index] ?? NaN;
    return value >= 0 && value <= TUNABLE[name];
  });
  const [sound = 0, picture = 0, ease = 0, money = 0, hours = 0, pulls = 0] = values;
  return isFit ? { sound, picture, ease, money, hours, pulls } : null;
}

/** The preset whose weights these are; null: they are tuned. */
export const presetOf = (weights: Weights): Preset | null =>
  PRESET_NAMES.find((name) => writeWeights(PRESETS[name]) === writeWeights(weights)) ?? null;
