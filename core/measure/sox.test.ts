import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "vitest";
import { makeSignal, maskOf, planSignal, readRecording, readWav, writeWav } from "@/core/measure";

const hasSox = spawnSync("sox", ["--version"]).status === 0;

test.skipIf(!hasSox)("a recording made by an independent program: delayed and mixed by sox, read to 3 cm", () => {
  const folder = mkdtempSync(join(tmpdir(), "octachord-sox-"));
  const plan = planSignal("2.0");
  const [signal, mixed] = [join(folder, "signal.wav"), join(folder, "mixed.wav")];
  writeFileSync(signal, writeWav(makeSignal(plan), maskOf(plan)));
  // Left 10 ms late, right 16.5 ms late and 6 dB softer, turned round; then as one microphone hears it, at 44.1 kHz and 16 bit.
  const made = spawnSync("sox", [
    signal,
    "-b",
    "16",
    "-r",
    "44100",
    mixed,
    "pad",
    "0.5",
    "0.5",
    "delay",
    "0.010",
    "0.0165",
    "remix",
    "1v0.8,2v-0.4",
  ]);
  expect(made.stderr.toString()).toBe("");
  const sound = readWav(readFileSync(mixed));
  if (!sound.ok) throw new Error(sound.refusal.code);
  const read = readRecording(sound.value, plan);
  if (!read.ok) throw new Error(read.refusal.code);
  const [left, right] = read.value.channels;
  expect(right?.arrivalMs).toBeCloseTo(6.5, 1);
  expect((right?.levelDb ?? NaN) - (left?.levelDb ?? NaN)).toBeCloseTo(-6.02, 0);
  expect([left?.polarity, right?.polarity]).toEqual(["normal", "inverted"]);
});
