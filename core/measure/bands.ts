import { powerOfTwo, spectrumOf } from "./fourier";

/** Nominal centres of the octave bands in Hz. Source: IEC 61260-1, Table E.1; A-weighting of each: IEC 61672-1, Table 3. */
export const OCTAVES = [
  { hertz: 31.5, aDb: -39.4 },
  { hertz: 63, aDb: -26.2 },
  { hertz: 125, aDb: -16.1 },
  { hertz: 250, aDb: -8.6 },
  { hertz: 500, aDb: -3.2 },
  { hertz: 1000, aDb: 0 },
  { hertz: 2000, aDb: 1.2 },
  { hertz: 4000, aDb: 1 },
  { hertz: 8000, aDb: -1.1 },
  { hertz: 16_000, aDb: -6.6 },
] as const;

/** The mean power of a response in each octave that lies within a sweep; null outside it. */
export function bandPowers(
  response: Float64Array,
  sampleRate: number,
  within: { readonly fromHz: number; readonly toHz: number },
): readonly (number | null)[] {
  const size = powerOfTwo(Math.max(response.length, sampleRate / 4));
  const spectrum = spectrumOf(response, size);
  return OCTAVES.map(({ hertz }) => {
    const [low, high] = [hertz / Math.SQRT2, hertz * Math.SQRT2];
    if (low < within.fromHz * 0.99 || high > Math.min(within.toHz * 1.13, sampleRate / 2)) return null;
    const [from, to] = [Math.ceil((low * size) / sampleRate), Math.floor((Math.min(high, within.toHz) * size) / sampleRate)];
    let [sum, count] = [0, 0];
    for (let bin = from; bin <= to; bin += 1) {
      // A pink signal has as much in each octave, so that lower bins of a band weigh more.
      const weight = 1 / bin;
      sum += ((spectrum[bin * 2] ?? 0) ** 2 + (spectrum[bin * 2 + 1] ?? 0) ** 2) * weight;
      count += weight;
    }
    return count ? sum / count : null;
  });
}

/** One figure for all bands as the ear weighs pink noise; a subwoofer's few bands count alike. */
export function weightedPower(powers: readonly (number | null)[], weighted: boolean): number {
  let [sum, most] = [0, 0];
  powers.forEach((power, index) => {
    if (power === null) return;
    const weight = weighted ? 10 ** ((OCTAVES[index]?.aDb ?? 0) / 10) : 1;
    sum += power * weight;
    most += weight;
  });
  return most ? sum / most : 0;
}
