import { describe, expect, test } from "vitest";
import type { HeardChannel } from "@/core/measure";
import { heardSentence, recordingSentence, recordingTroubleSentence, wavTroubleSentence } from "@/core/text";

const heard = (rest: Partial<HeardChannel>): HeardChannel => ({
  channel: "Ls",
  heard: true,
  arrivalMs: 11.2,
  distanceDiffM: 3.8,
  levelDb: -6,
  bands: {},
  polarity: "normal",
  trust: "good",
  why: null,
  ...rest,
});
/** Thin spaces as plain ones. */
const plain = (text: string) => text.replaceAll("\u2009", " ");

describe("what a recording showed of a channel", () => {
  test("compares it with the first one: later or earlier, how loud, and which wire to turn", () => {
    expect(plain(heardSentence(heard({})))).toBe("Left surround: 11.20 ms later, −6 dB.");
    expect(plain(heardSentence(heard({ arrivalMs: -0.42, levelDb: 1.25 })))).toMatch(/: 0\.42 ms earlier, \+1\.[23] dB\.$/);
    expect(plain(heardSentence(heard({ arrivalMs: 0.001 })))).toContain("the others are compared with it");
    expect(plain(heardSentence(heard({ polarity: "inverted" })))).toContain("swap + and − at one end of its wire");
  });

  test("says what is doubtful: it is silent, near the noise, weak, or the same as another", () => {
    const silent = heard({ heard: false, arrivalMs: null, levelDb: null, why: { code: "silent" } });
    expect(heardSentence(silent)).toContain("check its power, its wire");
    expect(plain(heardSentence(heard({ why: { code: "near-the-noise", overNoiseDb: 7.6 } })))).toContain("only 8 dB above the noise");
    expect(plain(heardSentence(heard({ why: { code: "weak", belowDb: 21.4 } })))).toContain("21 dB weaker than the loudest");
    expect(heardSentence(heard({ why: { code: "as-another", channel: "Rs" } }))).toContain("exactly with right surround");
    expect(heardSentence(heard({ why: { code: "subwoofer" } }))).toContain("polarity is not known");
  });
});

describe("a recording as a whole", () => {
  test("has its noise below full scale without a second minus, and its clock with one where it is behind", () => {
    expect(plain(recordingSentence({ driftPpm: -8.3, noiseDb: -60.4, clipped: false }))).toBe(
      "The recorder's clock is off by −8.3 parts in a million, which is taken out. Room noise 60 dB below full scale.",
    );
    expect(recordingSentence({ driftPpm: 8.3, noiseDb: -60.4, clipped: true })).toMatch(
      /off by \+8\.3 .* lower the recorder's level and repeat\.$/,
    );
  });

  test("that cannot be read says what it is, or how much of it is there, and what to do", () => {
    expect(wavTroubleSentence({ code: "not-wav", looksLike: "mp3" })).toMatch(/MP3 by its first bytes; save the recording as WAV/);
    expect(plain(wavTroubleSentence({ code: "cut-short", expectedBytes: 3 * 1_048_576, bytes: 1_048_576 }))).toContain(
      "should hold 3.0 MB of sound and holds 1.0 MB",
    );
    expect(wavTroubleSentence({ code: "unknown-format", format: 2, bits: 4 })).toContain("save it as PCM");
    expect(wavTroubleSentence({ code: "empty" })).toContain("record again");
  });

  test("without the signal says whether it is too short, another file, or ends too early", () => {
    expect(plain(recordingTroubleSentence({ code: "too-short", seconds: 11.6, needed: 20.2 }))).toMatch(
      /lasts 12 s; the signal needs 21 s/,
    );
    expect(recordingTroubleSentence({ code: "no-mark" })).toContain("check that it is the right file");
    expect(plain(recordingTroubleSentence({ code: "one-mark", atSeconds: 2.25 }))).toMatch(
      /found, at 2\.[23] s: the recording stops too early/,
    );
  });
});
