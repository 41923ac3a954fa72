import { multiplied, powerOfTwo, samplesOfSpectrum, spectrumOf } from "./fourier";
import { sweepSamples, type SignalPlan } from "./signal";

/** A sweep ready to be taken out of recordings. */
export interface Deconvolver {
  /** The impulse response hidden in a piece of a recording; its sample 0 is `leadIn` samples before the sweep was due. */
  readonly responseOf: (piece: Float64Array) => Float64Array;
  /** Samples of the piece before the sweep is due, which hold nothing of it. */
  readonly leadIn: number;
  readonly pieceLength: number;
}

/**
 * Takes an exponential sweep out of a recording by its inverse filter: the sweep backwards in time, falling by 6 dB an octave; harmonics of
 * the speaker come to lie before the response. Scaled so that a perfect speaker has a peak of 1. Source: Farina (2000), §2.
 * @param sampleRate of the recording, with the recorder's drift in it
 */
export function deconvolverOf(sweep: SignalPlan["sweep"], sampleRate: number, leadInSeconds: number, tailSeconds: number): Deconvolver {
  const played = sweepSamples(sweep, sampleRate);
  const long = sweep.seconds / Math.log(sweep.toHz / sweep.fromHz);
  const count = played.length;
  const inverse = Float64Array.from(
    { length: count },
    (_, index) => (played[count - 1 - index] ?? 0) * Math.exp(-index / sampleRate / long),
  );
  const leadIn = Math.round(leadInSeconds * sampleRate);
  const pieceLength = leadIn + count + Math.round(tailSeconds * sampleRate);
  // What wraps round falls on the samples before the sweep has ended, which are not used.
  const size = powerOfTwo(pieceLength);
  const spectrum = spectrumOf(inverse, size);
  const taken = (piece: Float64Array) => samplesOfSpectrum(multiplied(spectrumOf(piece, size), spectrum, false));
  const perfect = taken(played);
  const scale = 1 / Math.abs(perfect[count - 1] ?? 1);
  return {
    leadIn,
    pieceLength,
    responseOf: (piece) =>
      taken(piece)
        .subarray(count - 1, count - 1 + pieceLength - count)
        .map((sample) => sample * scale),
  };
}
