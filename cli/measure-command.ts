import { readFile, stat, writeFile } from "node:fs/promises";
import { BED_IDS, type Bed } from "@/core/facts";
import { makeSignal, maskOf, MAX_WAV_BYTES, planSignal, readRecording, readWav, SignalPlan, writeWav } from "@/core/measure";
import {
  formatMegabytes,
  heardSentence,
  recordingSentence,
  recordingTroubleSentence,
  SIGNAL_CAUTION,
  wavTroubleSentence,
} from "@/core/text";
import type { ExitCode } from "./main";
import { UnusableInput } from "./unusable-input";

const isBed = (layout: string): layout is Bed => (BED_IDS as readonly string[]).includes(layout);

/** Writes the test signal of a layout as WAV, and beside it the JSON that tells how to read its recording. */
export async function measureMakeCommand({ layout, output }: { layout: string; output: string }): Promise<ExitCode> {
  if (!isBed(layout)) throw new UnusableInput(`--layout: expected one of ${BED_IDS.join(", ")}.`);
  if (!/\.wav$/i.test(output)) throw new UnusableInput(`${output}: expected a name that ends in .wav.`);
  const plan = planSignal(layout);
  const beside = output.replace(/\.wav$/i, ".json");
  try {
    await writeFile(output, writeWav(makeSignal(plan), maskOf(plan)));
    await writeFile(beside, `${JSON.stringify(plan, null, 2)}\n`);
  } catch {
    throw new UnusableInput(`${output}: could not be written.`);
  }
  process.stdout.write(
    `${output}: ${plan.seconds.toFixed(0)} s, ${plan.channels.map(({ channel }) => channel).join(", ")}. Keep ${beside} for reading.\n${SIGNAL_CAUTION}\n`,
  );
  return 0;
}

export interface MeasureReadOptions {
  readonly signal: string;
  readonly temperature?: string;
  readonly json?: boolean;
}

/** Reads the recording of a test signal. Exit code 1 where a channel was not heard. */
export async function measureReadCommand(file: string, { signal, temperature, json = false }: MeasureReadOptions): Promise<ExitCode> {
  const temperatureC = temperature === undefined ? null : Number(temperature);
  if (temperatureC !== null && !(temperatureC >= -30 && temperatureC <= 50))
    throw new UnusableInput("--temperature: expected degrees Celsius from -30 to 50.");
  const plan = await readPlan(signal);
  const sound = readWav(await readBytes(file));
  if (!sound.ok) throw new UnusableInput(`${file}: ${wavTroubleSentence(sound.refusal)}`);
  const read = readRecording(sound.value, plan, { temperatureC });
  if (!read.ok) throw new UnusableInput(`${file}: ${recordingTroubleSentence(read.refusal)}`);
  const { channels, ...rest } = read.value;
  if (json)
    process.stdout.write(
      `${JSON.stringify({ channels: channels.map((channel) => ({ ...channel, why: channel.why?.code ?? null, words: heardSentence(channel) })), ...rest })}\n`,
    );
  else process.stdout.write(`${[...channels.map(heardSentence), recordingSentence(read.value)].join("\n")}\n`);
  return channels.every(({ heard }) => heard) ? 0 : 1;
}

async function readPlan(file: string): Promise<SignalPlan> {
  const bytes = await readBytes(file);
  let raw: unknown;
  try {
    raw = JSON.parse(new TextDecoder().decode(bytes));
  } catch {
    throw new UnusableInput(`${file}: expected the JSON that was written beside the signal.`);
  }
  const read = SignalPlan.safeParse(raw);
  if (!read.success) {
    const [issue] = read.error.issues;
    throw new UnusableInput(
      `${file}: ${issue?.path.join(".") || "the document"}: expected the plan of a signal, as \`measure make\` writes it.`,
    );
  }
  return read.data;
}

async function readBytes(file: string): Promise<Uint8Array> {
  const { size } = await stat(file).catch(() => {
    throw new UnusableInput(`${file}: there is no such file.`);
  });
  if (size > MAX_WAV_BYTES)
    throw new UnusableInput(
      `${file}: ${formatMegabytes(size)} are too many; recordings of up to ${formatMegabytes(MAX_WAV_BYTES)} are read.`,
    );
  return readFile(file).catch(() => {
    throw new UnusableInput(`${file}: the file cannot be read.`);
  });
}
