import type { Sound } from "@/core/measure";

export interface Recorder {
  /** Ends the recording and gives what was heard. */
  readonly stop: () => Promise<Sound>;
}

/** Records from the microphone without any of the browser's own corrections. Throws where none is allowed or there. */
export async function record(): Promise<Recorder> {
  const stream = await navigator.mediaDevices.getUserMedia({
    audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: 1 },
  });
  const recorder = new MediaRecorder(stream);
  const parts: Blob[] = [];
  recorder.addEventListener("dataavailable", (event) => parts.push(event.data));
  recorder.start(1000);
  return {
    stop: async () => {
      const ended = new Promise((resolve) => recorder.addEventListener("stop", resolve, { once: true }));
      recorder.stop();
      await ended;
      stream.getTracks().forEach((track) => track.stop());
      return decoded(await new Blob(parts).arrayBuffer());
    },
  };
}

const isWav = (bytes: Uint8Array): boolean => new TextDecoder("latin1").decode(bytes.subarray(0, 4)) === "RIFF";

/** A recording as it was dropped: a WAV file as its bytes, which are read to the last one; any other as the browser decodes it, or null. */
export async function bytesOrSound(file: File): Promise<Uint8Array | Sound | null> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (isWav(bytes)) return bytes;
  return decoded(bytes.buffer as ArrayBuffer).catch(() => (/\.wav$/i.test(file.name) ? bytes : null));
}

async function decoded(bytes: ArrayBuffer): Promise<Sound> {
  const context = new AudioContext({ sampleRate: 48_000 });
  try {
    const buffer = await context.decodeAudioData(bytes.slice(0));
    const channels = Array.from({ length: buffer.numberOfChannels }, (_, index) => Float64Array.from(buffer.getChannelData(index)));
    return { sampleRate: buffer.sampleRate, channels };
  } finally {
    await context.close();
  }
}
