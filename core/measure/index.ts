export { OCTAVES } from "./bands";
export { readRecording, type Doubt, type HeardChannel, type Reading, type RecordingTrouble } from "./read-recording";
export { makeSignal, maskOf, pinkSamples, planSignal, SAMPLE_RATE, SIGNAL_DB, SignalPlan } from "./signal";
export { MAX_WAV_BYTES, readWav, WAVE_POSITIONS, writeWav, type Sound, type WavTrouble } from "./wav";
