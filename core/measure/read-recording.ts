import { speedOfSound, USUAL_CELSIUS, type StringName } from "@/core/facts";
import { done, refused, type Outcome } from "@/core/outcome";
import { firstArrival, type Arrival } from "./arrival";
import { bandPowers, OCTAVES, weightedPower } from "./bands";
import { deconvolverOf, type Deconvolver } from "./deconvolve";
import { findMarks, type MarksTrouble } from "./marks";
import { sweepOf, sweepSamples, type SignalPlan } from "./signal";
import type { Sound } from "./wav";

/** What one channel was heard to do. */
export interface HeardChannel {
  readonly channel: StringName;
  readonly heard: boolean;
  /** Against the first channel that was heard. */
  readonly arrivalMs: number | null;
  readonly distanceDiffM: number | null;
  /** From what was played to what was recorded, weighted; only differences between channels mean anything. */
  readonly levelDb: number | null;
  readonly bands: Readonly<Record<string, number>>;
  readonly polarity: "normal" | "inverted" | "unknown";
  readonly trust: "good" | "weak" | "none";
  readonly why: Doubt | null;
}

/** Why a channel is not to be trusted, or what is strange about it. */
export type Doubt =
  | { readonly code: "silent" }
  | { readonly code: "near-the-noise"; readonly overNoiseDb: number }
  | { readonly code: "weak"; readonly belowDb: number }
  /** It arrives exactly with another one, as when a player folds channels together. */
  | { readonly code: "as-another"; readonly channel: StringName }
  | { readonly code: "subwoofer" };

export interface Reading {
  readonly channels: readonly HeardChannel[];
  readonly driftPpm: number;
  /** Before the first mark, below full scale. */
  readonly noiseDb: number;
  readonly clipped: boolean;
  /** Channels of the recording, and which of them was read. */
  readonly recorded: number;
  readonly usedChannel: number;
}

export type RecordingTrouble = MarksTrouble | { readonly code: "too-short"; readonly seconds: number; readonly needed: number };

export interface ReadOptions {
  readonly temperatureC?: number | null;
  /** Told how far it is, from 0 to 1. */
  readonly tell?: (share: number) => void;
}

/** Before a sweep is due nothing of it can be there; wireless units and players may be late by this much. */
const LEAD_IN_S = 0.15;
const TAIL_S = 0.55;
const WINDOW_S = { before: 0.003, after: 0.25 } as const;
/** From here on an arrival is trusted. */
const GOOD_DB = 30;
const WEAK_DB = 20;

/**
 * Reads the recording of a test signal by one microphone. Arrivals and levels of the channels against each other are exact; how far away
 * any of them is cannot be told, for nobody knows how late the player began.
 */
export function readRecording(
  sound: Sound,
  plan: SignalPlan,
  { temperatureC = null, tell = () => undefined }: ReadOptions = {},
): Outcome<Reading, RecordingTrouble> {
  const usedChannel = loudest(sound.channels);
  const samples = sound.channels[usedChannel] ?? new Float64Array(0);
  const seconds = samples.length / sound.sampleRate;
  const needed = plan.marks[1] - plan.marks[0];
  if (seconds < needed) return refused({ code: "too-short", seconds, needed });
  const marks = findMarks(samples, sound.sampleRate, plan);
  if ("code" in marks) return refused(marks);
  tell(0.2);
  const clock = sound.sampleRate * (1 + marks.driftPpm / 1e6);
  const kinds = new Map<boolean, Deconvolver>();
  const raw = plan.channels.map(({ channel, sweepAt }, index) => {
    const isSub = channel === "LFE";
    const taker = kinds.get(isSub) ?? deconvolverOf(sweepOf(channel, plan), clock, LEAD_IN_S, TAIL_S);
    kinds.set(isSub, taker);
    const due = marks.first * sound.sampleRate + (sweepAt - plan.marks[0]) * clock;
    const start = Math.round(due) - taker.leadIn;
    const piece = pieceOf(samples, start, taker.pieceLength);
    const response = taker.responseOf(piece);
    const quiet = Math.round(taker.leadIn * 0.6);
    const arrival = firstArrival(response, quiet, isSub ? Math.round(clock * 0.004) : 5);
    tell(0.2 + (0.8 * (index + 1)) / plan.channels.length);
    return {
      channel,
      isSub,
      arrival,
      lateS: arrival ? (start + arrival.at - due) / clock : null,
      powers: arrival ? powersOf(response, arrival, clock, channel, plan) : [],
    };
  });
  const speed = speedOfSound(temperatureC ?? USUAL_CELSIUS);
  const reference = raw.find(({ isSub, lateS }) => !isSub && lateS !== null)?.lateS ?? raw.find(({ lateS }) => lateS !== null)?.lateS ?? 0;
  const levels = raw.map(({ powers, isSub }) =>
    powers.length ? 10 * Math.log10(Math.max(1e-15, weightedPower(powers, !isSub))) - plan.levelDb : null,
  );
  const loud = Math.max(...levels.flatMap((level, index) => (level === null || raw[index]?.isSub ? [] : [level])));
  return done({
    channels: raw.map(({ channel, isSub, arrival, lateS, powers }, index): HeardChannel => {
      const levelDb = levels[index] ?? null;
      const arrivalMs = lateS === null ? null : (lateS - reference) * 1000;
      const twin = raw.slice(0, index).find((other) => other.lateS !== null && lateS !== null && Math.abs(other.lateS - lateS) < 2e-6);
      const doubt = doubtOf(arrival, isSub, levelDb === null ? 0 : loud - levelDb, twin?.channel ?? null);
      return {
        channel,
        heard: arrival !== null,
        arrivalMs,
        distanceDiffM: arrivalMs === null ? null : (arrivalMs / 1000) * speed,
        levelDb,
        bands: Object.fromEntries(
          powers.flatMap((power, band) =>
            power === null ? [] : [[String(OCTAVES[band]?.hertz), 10 * Math.log10(Math.max(1e-15, power)) - plan.levelDb]],
          ),
        ),
        polarity: arrival === null || isSub ? "unknown" : arrival.polarity,
        trust: arrival === null ? "none" : arrival.overNoiseDb < GOOD_DB || isSub ? "weak" : "good",
        why: doubt,
      };
    }),
    driftPpm: marks.driftPpm,
    noiseDb: noiseBefore(samples, marks.first * sound.sampleRate),
    clipped: samples.some((sample) => Math.abs(sample) >= 0.9999),
    recorded: sound.channels.length,
    usedChannel,
  });
}

function doubtOf(arrival: Arrival | null, isSub: boolean, belowDb: number, twin: StringName | null): Doubt | null {
  if (!arrival) return { code: "silent" };
  if (arrival.overNoiseDb < GOOD_DB) return { code: "near-the-noise", overNoiseDb: arrival.overNoiseDb };
  if (isSub) return { code: "subwoofer" };
  if (twin) return { code: "as-another", channel: twin };
  return belowDb > WEAK_DB ? { code: "weak", belowDb } : null;
}

/** The power in each octave against that of a perfect speaker, with what the noise adds taken off. */
function powersOf(
  response: Float64Array,
  arrival: Arrival,
  clock: number,
  channel: StringName,
  plan: SignalPlan,
): readonly (number | null)[] {
  const sweep = sweepOf(channel, plan);
  // Low notes need longer on either side of their peak.
  const stretch = channel === "LFE" ? 20 : 1;
  const before = Math.min(Math.round(WINDOW_S.before * stretch * clock), Math.floor(arrival.at));
  const after = Math.round(WINDOW_S.after * clock);
  const from = Math.floor(arrival.at) - before;
  const heard = bandPowers(response.subarray(from, from + before + after), clock, sweep);
  const quiet = bandPowers(response.subarray(0, Math.max(1, Math.round(clock * LEAD_IN_S * 0.5))), clock, sweep);
  const share = (before + after) / Math.max(1, Math.round(clock * LEAD_IN_S * 0.5));
  const perfect = perfectPowers(clock, sweep, before, after);
  return heard.map((power, band) => {
    const ideal = perfect[band] ?? null;
    return power === null || ideal === null ? null : Math.max(power - (quiet[band] ?? 0) * share, power * 1e-3) / ideal;
  });
}

/** What a perfect speaker would have in the same window. */
function perfectPowers(clock: number, sweep: SignalPlan["sweep"], before: number, after: number): readonly (number | null)[] {
  const key = `${clock} ${sweep.fromHz} ${sweep.toHz} ${sweep.seconds} ${before}`;
  const known = perfects.get(key);
  if (known) return known;
  const taker = deconvolverOf(sweep, clock, LEAD_IN_S, TAIL_S);
  const piece = new Float64Array(taker.pieceLength);
  piece.set(sweepSamples(sweep, clock), taker.leadIn);
  const response = taker.responseOf(piece);
  const powers = bandPowers(response.subarray(taker.leadIn - before, taker.leadIn + after), clock, sweep);
  if (perfects.size > 8) perfects.clear();
  perfects.set(key, powers);
  return powers;
}
const perfects = new Map<string, readonly (number | null)[]>();

function pieceOf(samples: Float64Array, start: number, length: number): Float64Array {
  const piece = new Float64Array(length);
  const from = Math.max(0, start);
  piece.set(samples.subarray(from, Math.max(from, Math.min(samples.length, start + length))), from - start);
  return piece;
}

const energyOf = (samples: Float64Array): number => samples.reduce((sum, sample) => sum + sample * sample, 0);

const loudest = (channels: readonly Float64Array[]): number => {
  const energies = channels.map(energyOf);
  return Math.max(0, energies.indexOf(Math.max(...energies)));
};

/** The level of what is there before the first mark; of the start of the recording where it began late. */
function noiseBefore(samples: Float64Array, mark: number): number {
  const end = Math.max(1, Math.floor(Math.min(mark * 0.9, samples.length)));
  const start = Math.floor(end * 0.3);
  return 10 * Math.log10(Math.max(1e-15, energyOf(samples.subarray(start, end)) / Math.max(1, end - start)));
}
