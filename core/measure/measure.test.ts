import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { bedStrings } from "@/core/facts";
import { makeSignal, maskOf, planSignal, readRecording, readWav, writeWav, type SignalPlan, type Sound } from "@/core/measure";

/** A room made of numbers: each channel late by so much, so loud, with a reflection; noise under all of it; a recorder that runs fast. */
interface MadeRoom {
  readonly late: readonly number[];
  readonly gain: readonly number[];
  readonly echo?: { readonly lateS: number; readonly gain: number };
  readonly noiseDb?: number;
  readonly driftPpm?: number;
  readonly sampleRate?: number;
}

const SINC = 24;
const BLOCK = 256;

/** Which blocks of a list are not silent. */
const soundingIn = (list: Float64Array): readonly boolean[] =>
  Array.from({ length: Math.ceil(list.length / BLOCK) + 1 }, (_, block) =>
    list.subarray(block * BLOCK, (block + 1) * BLOCK).some((sample) => sample !== 0),
  );

/** What a microphone records, each sample worked out by a windowed sinc: shares nothing with the reading. */
function recorded(
  plan: SignalPlan,
  { late, gain, echo, noiseDb = -200, driftPpm = 0, sampleRate = 48_000 }: MadeRoom,
  beginS = 0.4,
): Float64Array {
  const signal = makeSignal(plan);
  const rate = sampleRate * (1 + driftPpm / 1e6);
  const out = new Float64Array(Math.ceil((plan.seconds + beginS + 0.3) * rate));
  const ways = signal.channels.flatMap((list, index) => {
    const [delay, level] = [late[index] ?? 0, gain[index] ?? 0];
    return level === 0 ? [] : [{ list, delay, level }, ...(echo ? [{ list, delay: delay + echo.lateS, level: level * echo.gain }] : [])];
  });
  for (const { list, delay, level } of ways) {
    const sounding = soundingIn(list);
    for (let n = 0; n < out.length; n += 1) {
      const at = (n / rate - beginS - delay) * signal.sampleRate;
      const whole = Math.floor(at);
      if (whole < -SINC || whole > list.length + SINC) continue;
      const block = Math.max(0, Math.floor(whole / BLOCK));
      if (!sounding[block] && !sounding[block - 1] && !sounding[block + 1]) continue;
      let sum = 0;
      for (let k = whole - SINC + 1; k <= whole + SINC; k += 1) {
        const sample = list[k];
        if (!sample) continue;
        const away = at - k;
        sum += sample * (away === 0 ? 1 : Math.sin(Math.PI * away) / (Math.PI * away)) * (0.5 + 0.5 * Math.cos((Math.PI * away) / SINC));
      }
      out[n] = (out[n] ?? 0) + sum * level;
    }
  }
  let state = 20_261_127;
  const size = 10 ** (noiseDb / 20) * Math.sqrt(3);
  for (let n = 0; n < out.length; n += 1) {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    out[n] = (out[n] ?? 0) + ((state / 4_294_967_296) * 2 - 1) * size;
  }
  return out;
}

const heardIn = (plan: SignalPlan, samples: Float64Array, sampleRate = 48_000) => {
  const read = readRecording({ sampleRate, channels: [samples] }, plan);
  if (!read.ok) throw new Error(JSON.stringify(read.refusal));
  return read.value;
};

/** A shorter signal, so that the tests are quick: sweeps of 1 s. */
const short = (layout: "2.0" | "5.1"): SignalPlan => {
  const plan = planSignal(layout);
  const cut = 2;
  return {
    ...plan,
    sweep: { ...plan.sweep, seconds: 1 },
    marks: [plan.marks[0], Number((plan.marks[1] - cut * plan.channels.length).toFixed(6))],
    seconds: plan.seconds - cut * plan.channels.length,
    channels: plan.channels.map((row, index) => ({ ...row, sweepAt: row.sweepAt - cut * index, noiseAt: row.noiseAt - cut * (index + 1) })),
  };
};

describe("the test signal", () => {
  test("plays one channel after the other, in the order of a WAVE file, with the level it says", () => {
    const plan = planSignal("5.1");
    expect(plan.channels.map(({ channel }) => channel)).toEqual(["L", "R", "C", "LFE", "Ls", "Rs"]);
    expect(maskOf(plan)).toBe(0x60f);
    const signal = makeSignal(plan);
    for (const list of signal.channels)
      expect(20 * Math.log10(list.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0))).toBeCloseTo(-20, 1);
    const [, right] = signal.channels;
    const [, rightPlan] = plan.channels;
    const end = Math.round((rightPlan?.sweepAt ?? 0) * 48_000);
    expect(right?.subarray(0, end).every((sample) => sample === 0)).toBe(true);
    expect(bedStrings("7.1").length).toBe(planSignal("7.1").channels.length);
  });

  test("comes back from its WAV file to the 24th bit", () => {
    const plan = short("2.0");
    const signal = makeSignal(plan);
    const read = readWav(writeWav(signal, maskOf(plan)));
    if (!read.ok) throw new Error(read.refusal.code);
    expect(read.value.sampleRate).toBe(48_000);
    const most = signal.channels
      .flatMap((list, index) => [...list].map((sample, at) => Math.abs(sample - (read.value.channels[index]?.[at] ?? 9))))
      .reduce((a, b) => Math.max(a, b), 0);
    expect(most).toBeLessThanOrEqual(2 ** -24);
  });
});

describe("a recording", () => {
  const plan = short("5.1");
  const late = [0.01, 0.0103, 0.00917, 0.0121, 0.0312, 0.0198];
  const gain = [0.7, 0.63, 0.56, 0.7, -0.35, 0.84];
  const room: MadeRoom = { late, gain, echo: { lateS: 0.0063, gain: 0.7 }, noiseDb: -46 };
  const heard = heardIn(plan, recorded(plan, room));

  test("gives arrivals to a tenth of a millisecond beside an echo, 20 dB over the noise", () => {
    for (const [index, { channel, arrivalMs }] of heard.channels.entries())
      if (channel !== "LFE") expect(Math.abs((arrivalMs ?? NaN) - ((late[index] ?? 0) - 0.01) * 1000)).toBeLessThan(0.1);
  });

  test("gives levels to half a decibel, and the inverted channel", () => {
    const [first] = heard.channels;
    for (const [index, { channel, levelDb, polarity }] of heard.channels.entries()) {
      if (channel === "LFE") {
        expect(polarity).toBe("unknown");
        continue;
      }
      const expected = 20 * Math.log10(Math.abs((gain[index] ?? 0) / 0.7));
      expect(Math.abs((levelDb ?? NaN) - (first?.levelDb ?? NaN) - expected)).toBeLessThan(0.5);
      expect(polarity).toBe(channel === "Ls" ? "inverted" : "normal");
    }
  });

  test("gives distances by the speed of sound: 21.2 ms are 7.28 m at 20 °C", () => {
    const ls = heard.channels.find(({ channel }) => channel === "Ls");
    expect(ls?.distanceDiffM).toBeCloseTo(0.0212 * 343.21, 1);
    expect(ls?.trust).toBe("good");
  });

  test("takes the recorder's drift out", () => {
    const drifted = heardIn(plan, recorded(plan, { ...room, noiseDb: -60, driftPpm: 83 }));
    expect(drifted.driftPpm).toBeCloseTo(83, 0);
    expect(drifted.channels[4]?.arrivalMs).toBeCloseTo(21.2, 1);
  });

  test("at 44.1 kHz and in stereo reads the same", () => {
    const samples = recorded(plan, { ...room, sampleRate: 44_100 });
    const read = readRecording({ sampleRate: 44_100, channels: [samples.map((sample) => sample * 0.01), samples] }, plan);
    if (!read.ok) throw new Error(read.refusal.code);
    expect(read.value).toMatchObject({ recorded: 2, usedChannel: 1 });
    expect(read.value.channels[5]?.arrivalMs).toBeCloseTo(9.8, 1);
  });

  test("tells a silent channel, and one that a player folds into another", () => {
    const folded = heardIn(
      plan,
      recorded(plan, { late: [0.01, 0.01, 0.01, 0.01, 0.01, 0.02], gain: [0.7, 0.7, 0.5, 0, 0.5, 0], noiseDb: -60 }),
    );
    const of = (channel: string) => folded.channels.find((one) => one.channel === channel);
    expect(of("Rs")).toMatchObject({ heard: false, trust: "none", why: { code: "silent" } });
    expect(of("LFE")).toMatchObject({ heard: false });
    expect(of("C")?.why).toMatchObject({ code: "as-another" });
  });

  test("with a reflection louder than the direct sound still takes the direct one", () => {
    const loud = heardIn(plan, recorded(plan, { ...room, echo: { lateS: 0.004, gain: 1.6 }, noiseDb: -60 }));
    expect(loud.channels[1]?.arrivalMs).toBeCloseTo(0.3, 1);
  });
});

describe("a file that is no such recording", () => {
  const plan = short("2.0");
  const sound = (samples: Float64Array): Sound => ({ sampleRate: 48_000, channels: [samples] });

  test("of something else, cut before the second mark, or too short is told apart", () => {
    const tone = Float64Array.from({ length: 48_000 * 14 }, (_, n) => Math.sin(n / 20) * 0.3);
    expect(readRecording(sound(tone), plan)).toMatchObject({ ok: false, refusal: { code: "no-mark" } });
    const whole = recorded(plan, { late: [0, 0], gain: [1, 1], noiseDb: -60 });
    const cut = new Float64Array(whole.length);
    cut.set(whole.subarray(0, Math.round(whole.length * 0.6)));
    expect(readRecording(sound(cut), plan)).toMatchObject({ ok: false, refusal: { code: "one-mark" } });
    expect(readRecording(sound(whole.subarray(0, 48_000)), plan)).toMatchObject({ ok: false, refusal: { code: "too-short" } });
  });

  test("an MP3 named .wav, a cut WAV and an unknown coding each have their own trouble", () => {
    expect(readWav(new TextEncoder().encode("ID3 something long enough"))).toMatchObject({
      refusal: { code: "not-wav", looksLike: "mp3" },
    });
    const bytes = writeWav(sound(new Float64Array(1000)), 4);
    expect(readWav(bytes.subarray(0, bytes.length - 500))).toMatchObject({ refusal: { code: "cut-short" } });
    const odd = bytes.slice();
    odd[44] = 0x55;
    expect(readWav(odd)).toMatchObject({ refusal: { code: "unknown-format" } });
    expect(readWav(bytes.subarray(0, 60))).toMatchObject({ ok: false });
  });

  test("any bytes at all are read or refused, never thrown about", () => {
    const bytes = writeWav(sound(new Float64Array(40)), 4);
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(bytes.length - 1), fc.nat(255)), { maxLength: 12 }), fc.nat(bytes.length), (changes, length) => {
        const spoiled = bytes.slice(0, length);
        for (const [at, value] of changes) if (at < spoiled.length) spoiled[at] = value;
        expect(typeof readWav(spoiled).ok).toBe("boolean");
      }),
      { numRuns: 300, seed: 23 },
    );
  });
});
