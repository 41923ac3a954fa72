import { expose, transfer } from "comlink";
import { done, refused, type Outcome } from "@/core/outcome";
import {
  makeSignal,
  maskOf,
  planSignal,
  readRecording,
  readWav,
  writeWav,
  type Reading,
  type RecordingTrouble,
  type SignalPlan,
  type Sound,
  type WavTrouble,
} from "@/core/measure";
import type { Bed } from "@/core/facts";

export type MeasureTrouble =
  { readonly of: "file"; readonly trouble: WavTrouble } | { readonly of: "recording"; readonly trouble: RecordingTrouble };

export interface RecordingQuestion {
  /** The bytes of a WAV file, or what the browser decoded of another format. */
  readonly recording: Uint8Array | Sound;
  readonly plan: SignalPlan;
  readonly temperatureC: number | null;
}

const api = {
  /** A test signal as a WAV file, with its plan. */
  make(layout: Bed): { readonly wav: Uint8Array; readonly plan: SignalPlan } {
    const plan = planSignal(layout);
    const wav = writeWav(makeSignal(plan), maskOf(plan));
    return transfer({ wav, plan }, [wav.buffer as ArrayBuffer]);
  },
  read({ recording, plan, temperatureC }: RecordingQuestion, tell: (share: number) => void): Outcome<Reading, MeasureTrouble> {
    const sound = recording instanceof Uint8Array ? readWav(recording) : done(recording);
    if (!sound.ok) return refused({ of: "file", trouble: sound.refusal });
    const read = readRecording(sound.value, plan, { temperatureC, tell });
    return read.ok ? read : refused({ of: "recording", trouble: read.refusal });
  },
};
export type MeasureWorker = typeof api;

expose(api);
