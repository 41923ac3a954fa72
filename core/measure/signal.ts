import { z } from "zod";
import { BED_IDS, bedStrings, type Bed, type StringName } from "@/core/facts";
import { WAVE_POSITIONS, type Sound } from "./wav";

/** What stands beside a test signal and tells how to read its recording. Times in seconds from the start of the file. */
export const SignalPlan = z.strictObject({
  format: z.literal("octachord-signal"),
  version: z.literal(1),
  layout: z.enum(BED_IDS),
  sampleRate: z.number().int().min(8000).max(192_000),
  /** Peaks of what is played, in dB below full scale. */
  levelDb: z.number().min(-60).max(0),
  sweep: z.strictObject({ fromHz: z.number().positive(), toHz: z.number().positive(), seconds: z.number().positive().max(30) }),
  /** The two marks: short sweeps from every channel of the front, first and last. */
  marks: z.tuple([z.number().min(0), z.number().min(0)]),
  markSeconds: z.number().positive().max(2),
  seconds: z.number().positive().max(600),
  channels: z
    .array(
      z.strictObject({
        channel: z.enum(WAVE_POSITIONS.map(({ channel }) => channel) as [StringName, ...StringName[]]),
        sweepAt: z.number().min(0),
        noiseAt: z.number().min(0),
        noiseSeconds: z.number().positive().max(30),
      }),
    )
    .min(1)
    .max(8),
});
export type SignalPlan = z.infer<typeof SignalPlan>;

export const SAMPLE_RATE = 48_000;
/** Low, so that nobody is startled and nothing is driven hard. Source: −20 dB full scale, SMPTE RP 155 as working level. */
export const SIGNAL_DB = -20;
const SWEEP = { fromHz: 40, toHz: 20_000, seconds: 3 } as const;
/** A subwoofer is swept where it plays. */
const SUB_SWEEP = { fromHz: 20, toHz: 200, seconds: 3 } as const;
export const MARK = { fromHz: 500, toHz: 8000, seconds: 0.25 } as const;
/** Silence after each sound, so that the room dies away. */
const GAP_S = 0.7;
const NOISE_S = 1.5;

/** The sweep that a channel gets. */
export const sweepOf = (channel: StringName, plan: Pick<SignalPlan, "sweep">): SignalPlan["sweep"] =>
  channel === "LFE" ? { ...SUB_SWEEP, seconds: plan.sweep.seconds } : plan.sweep;

/** The plan of a signal for a layout: a mark, for each channel a sweep and pink noise, a mark. */
export function planSignal(layout: Bed): SignalPlan {
  const names = WAVE_POSITIONS.map(({ channel }) => channel).filter((channel) => bedStrings(layout).includes(channel));
  let at = 1 + MARK.seconds + GAP_S;
  const channels = names.map((channel) => {
    const sweepAt = at;
    const noiseAt = sweepAt + SWEEP.seconds + GAP_S;
    at = noiseAt + NOISE_S + GAP_S;
    return { channel, sweepAt, noiseAt, noiseSeconds: NOISE_S };
  });
  return {
    format: "octachord-signal",
    version: 1,
    layout,
    sampleRate: SAMPLE_RATE,
    levelDb: SIGNAL_DB,
    sweep: SWEEP,
    marks: [1, Number(at.toFixed(6))],
    markSeconds: MARK.seconds,
    seconds: Number((at + MARK.seconds + 1).toFixed(6)),
    channels,
  };
}

/**
 * An exponential sweep of amplitude 1: x(t) = sin(K(e^{t/L} − 1)), L = T/ln(f2/f1), K = 2π·f1·L. Its ends fade over 10 ms.
 * Source: A. Farina, AES 108th Convention (2000), eq. 3.
 */
export function sweepSamples({ fromHz, toHz, seconds }: SignalPlan["sweep"], sampleRate: number): Float64Array {
  const count = Math.round(seconds * sampleRate);
  const long = seconds / Math.log(toHz / fromHz);
  const k = 2 * Math.PI * fromHz * long;
  const fade = Math.min(count / 4, 0.01 * sampleRate);
  return Float64Array.from({ length: count }, (_, index) => {
    const edge = Math.min(1, Math.min(index, count - 1 - index) / fade);
    return Math.sin(k * (Math.exp(index / sampleRate / long) - 1)) * (0.5 - 0.5 * Math.cos(Math.PI * edge));
  });
}

/** Pink noise between 20 Hz and 20 kHz, the same for the same seed, peaks at 1. White noise through a filter of three poles, within half a decibel of −3 dB an octave. */
export function pinkSamples(count: number, seed: number): Float64Array {
  let state = seed >>> 0 || 1;
  const white = () => {
    // xorshift32: the core has no chance of its own.
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return ((state >>> 0) / 4294967296) * 2 - 1;
  };
  let [b0, b1, b2] = [0, 0, 0];
  const made = Float64Array.from({ length: count }, () => {
    const sample = white();
    b0 = 0.99765 * b0 + sample * 0.099046;
    b1 = 0.963 * b1 + sample * 0.2965164;
    b2 = 0.57 * b2 + sample * 1.0526913;
    return b0 + b1 + b2 + sample * 0.1848;
  });
  const peak = made.reduce((most, sample) => Math.max(most, Math.abs(sample)), 1e-9);
  return made.map((sample) => sample / peak);
}

/** The channel mask of a plan. */
export const maskOf = ({ channels }: SignalPlan): number =>
  channels.reduce((mask, { channel }) => mask | (WAVE_POSITIONS.find((row) => row.channel === channel)?.mask ?? 0), 0);

/** The signal of a plan: one list for each of its channels, in WAVE order. */
export function makeSignal(plan: SignalPlan): Sound {
  const { sampleRate } = plan;
  const gain = 10 ** (plan.levelDb / 20);
  const mark = sweepSamples({ ...MARK, seconds: plan.markSeconds }, sampleRate);
  const channels = plan.channels.map(({ channel, sweepAt, noiseAt, noiseSeconds }, index) => {
    const list = new Float64Array(Math.round(plan.seconds * sampleRate));
    const put = (at: number, samples: Float64Array) => {
      const start = Math.round(at * sampleRate);
      samples.forEach((sample, n) => (list[start + n] = (list[start + n] ?? 0) + sample * gain));
    };
    // One speaker alone gives the marks, so that they do not arrive twice.
    if (index === 0) plan.marks.forEach((at) => put(at, mark));
    put(sweepAt, sweepSamples(sweepOf(channel, plan), sampleRate));
    put(noiseAt, pinkSamples(Math.round(noiseSeconds * sampleRate), 8 + index));
    return list;
  });
  return { sampleRate, channels };
}
