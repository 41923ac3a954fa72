import FFT from "fft.js";

/** The next power of two. */
export const powerOfTwo = (count: number): number => 2 ** Math.ceil(Math.log2(Math.max(2, count)));

/** Tables of sines, made once for each size. */
const ready = new Map<number, FFT>();

function transformOf(size: number): FFT {
  const made = ready.get(size) ?? new FFT(size);
  ready.set(size, made);
  return made;
}

/** The spectrum of real samples, padded with silence to `size` (a power of two), as pairs of real and imaginary parts. */
export function spectrumOf(samples: Float64Array, size: number): Float64Array {
  const fft = transformOf(size);
  const padded = new Float64Array(size);
  padded.set(samples.subarray(0, size));
  const out = new Float64Array(size * 2);
  fft.realTransform(out as unknown as number[], padded as unknown as number[]);
  fft.completeSpectrum(out as unknown as number[]);
  return out;
}

/** The real samples of a spectrum. */
export function samplesOfSpectrum(spectrum: Float64Array): Float64Array {
  const size = spectrum.length / 2;
  const fft = transformOf(size);
  const out = new Float64Array(spectrum.length);
  fft.inverseTransform(out as unknown as number[], spectrum as unknown as number[]);
  const real = new Float64Array(size);
  for (let index = 0; index < size; index += 1) real[index] = out[index * 2] ?? 0;
  return real;
}

/** Two spectra multiplied; `conjugate`: with the second one mirrored in time, which makes a correlation of a convolution. */
export function multiplied(a: Float64Array, b: Float64Array, conjugate: boolean): Float64Array {
  const out = new Float64Array(a.length);
  const sign = conjugate ? -1 : 1;
  for (let at = 0; at < a.length; at += 2) {
    const [ar, ai, br, bi] = [a[at] ?? 0, a[at + 1] ?? 0, b[at] ?? 0, (b[at + 1] ?? 0) * sign];
    out[at] = ar * br - ai * bi;
    out[at + 1] = ar * bi + ai * br;
  }
  return out;
}
