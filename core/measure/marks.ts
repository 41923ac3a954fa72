import { offPeak } from "./arrival";
import { multiplied, samplesOfSpectrum, spectrumOf } from "./fourier";
import { MARK, sweepSamples, type SignalPlan } from "./signal";

/** Where the two marks of a signal are in a recording, in seconds, and how fast the recorder's clock runs. */
export interface Marks {
  readonly first: number;
  /** Positive: the recorder counts more samples than it should. */
  readonly driftPpm: number;
  /** Of 1: how much of the recording at the marks is the mark. */
  readonly likeness: number;
}

export type MarksTrouble =
  /** Nothing in it is like the mark: it is a recording of something else, or too faint. */
  | { readonly code: "no-mark" }
  /** The second mark is missing: the recording stops too early. */
  | { readonly code: "one-mark"; readonly atSeconds: number };

const CHUNK = 2 ** 17;
const LEAST_LIKENESS = 0.12;
/** No recorder drifts more. */
const MOST_DRIFT = 400e-6;
/** Candidates kept: a mark and its reflections, and whatever is a little like it. */
const MOST_PEAKS = 40;

interface Peak {
  readonly at: number;
  readonly strength: number;
  readonly likeness: number;
}

/** Finds the two marks by what is most like them at the right distance from each other. */
export function findMarks(samples: Float64Array, sampleRate: number, plan: SignalPlan): Marks | MarksTrouble {
  const peaks = likePeaks(samples, sweepSamples({ ...MARK, seconds: plan.markSeconds }, sampleRate), sampleRate);
  const apart = (plan.marks[1] - plan.marks[0]) * sampleRate;
  let best: { a: Peak; b: Peak; strength: number } | null = null;
  for (const a of peaks)
    for (const b of peaks) {
      if (Math.abs((b.at - a.at) / apart - 1) > MOST_DRIFT) continue;
      const strength = Math.min(a.strength, b.strength);
      if (!best || strength > best.strength) best = { a, b, strength };
    }
  if (best) {
    const drift = (best.b.at - best.a.at) / apart - 1;
    return { first: best.a.at / sampleRate, driftPpm: drift * 1e6, likeness: Math.min(best.a.likeness, best.b.likeness) };
  }
  const [strongest] = peaks;
  return strongest ? { code: "one-mark", atSeconds: strongest.at / sampleRate } : { code: "no-mark" };
}

/** The places that are most like the mark, strongest first, by correlation in chunks. */
function likePeaks(samples: Float64Array, mark: Float64Array, sampleRate: number): readonly Peak[] {
  const spectrum = spectrumOf(mark, CHUNK);
  const energyOfMark = Math.sqrt(mark.reduce((sum, sample) => sum + sample * sample, 0));
  const sums = runningEnergy(samples);
  const step = CHUNK - mark.length;
  const found: Peak[] = [];
  const apart = Math.round(0.05 * sampleRate);
  for (let start = 0; start < samples.length; start += step) {
    const correlation = samplesOfSpectrum(multiplied(spectrumOf(samples.subarray(start, start + CHUNK), CHUNK), spectrum, true));
    const end = Math.min(step, samples.length - start);
    for (let n = 0; n < end; n += apart) {
      let top = n;
      for (let at = n; at < Math.min(n + apart, end); at += 1)
        if (Math.abs(correlation[at] ?? 0) > Math.abs(correlation[top] ?? 0)) top = at;
      const at = start + top;
      const energy = Math.sqrt(Math.max(0, (sums[Math.min(samples.length, at + mark.length)] ?? 0) - (sums[at] ?? 0)));
      const strength = Math.abs(correlation[top] ?? 0);
      const likeness = energy > 0 ? strength / (energy * energyOfMark) : 0;
      if (likeness >= LEAST_LIKENESS) found.push({ at: at + offPeak(correlation, top), strength, likeness });
    }
  }
  return found.toSorted((a, b) => b.strength - a.strength).slice(0, MOST_PEAKS);
}

function runningEnergy(samples: Float64Array): Float64Array {
  const sums = new Float64Array(samples.length + 1);
  for (let n = 0; n < samples.length; n += 1) sums[n + 1] = (sums[n] ?? 0) + (samples[n] ?? 0) ** 2;
  return sums;
}
