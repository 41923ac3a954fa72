/** When a sound arrives in an impulse response, and which way its first swing goes. */
export interface Arrival {
  /** In samples, between two of them by a parabola. */
  readonly at: number;
  readonly peak: number;
  readonly polarity: "normal" | "inverted";
  /** The first peak above what was there before, in dB. */
  readonly overNoiseDb: number;
}

/** The first sound may be this much smaller than a reflection. */
const SHARE_OF_LARGEST = 0.3;
/** A peak must stand this far out of the noise before it: in tens of thousands of samples noise itself reaches more than four times its mean. */
const OVER_NOISE = 6;

/**
 * The first arrival: the first swing that is over a share of the largest and well above the noise, not the largest itself, for a reflection
 * can be larger. Null where nothing stands out.
 * @param quietUntil samples at the start in which nothing can have arrived
 * @param within how many samples after the first crossing its peak is looked for
 */
export function firstArrival(response: Float64Array, quietUntil: number, within: number): Arrival | null {
  let [noise, largest] = [0, 0];
  for (let n = 0; n < quietUntil; n += 1) noise += (response[n] ?? 0) ** 2;
  const floor = Math.sqrt(noise / Math.max(1, quietUntil));
  for (let n = quietUntil; n < response.length; n += 1) largest = Math.max(largest, Math.abs(response[n] ?? 0));
  if (largest <= floor * OVER_NOISE || largest < 1e-7) return null;
  const threshold = Math.max(largest * SHARE_OF_LARGEST, floor * OVER_NOISE);
  let first = quietUntil;
  while (first < response.length && Math.abs(response[first] ?? 0) < threshold) first += 1;
  let peak = first;
  for (let n = first; n <= Math.min(first + within, response.length - 2); n += 1)
    if (Math.abs(response[n] ?? 0) > Math.abs(response[peak] ?? 0)) peak = n;
  const value = response[peak] ?? 0;
  return {
    at: peak + offPeak(response, peak),
    peak: value,
    polarity: value > 0 ? "normal" : "inverted",
    overNoiseDb: 20 * Math.log10(Math.abs(value) / Math.max(floor, 1e-12)),
  };
}

/** How far the top of a parabola through three samples is from the middle one. */
export function offPeak(samples: Float64Array, peak: number): number {
  const [a, b, c] = [peak - 1, peak, peak + 1].map((n) => Math.abs(samples[n] ?? 0)) as [number, number, number];
  const bend = a - 2 * b + c;
  return bend === 0 ? 0 : Math.max(-0.5, Math.min(0.5, (a - c) / (2 * bend)));
}
