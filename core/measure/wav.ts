import { done, refused, type Outcome } from "@/core/outcome";

/** Sound as numbers from −1 to 1, one list for each channel. */
export interface Sound {
  readonly sampleRate: number;
  readonly channels: readonly Float64Array[];
}

export type WavTrouble =
  | { readonly code: "not-wav"; readonly looksLike: "mp3" | "ogg" | "flac" | "m4a" | "something-else" }
  | { readonly code: "cut-short"; readonly expectedBytes: number; readonly bytes: number }
  | { readonly code: "unknown-format"; readonly format: number; readonly bits: number }
  | { readonly code: "empty" };

/** Beyond this a file is no recording of a test signal. */
export const MAX_WAV_BYTES = 400 * 1024 * 1024;

const PCM = 1;
const FLOAT = 3;
const EXTENSIBLE = 0xfffe;

/** Reads a WAV file: RIFF with PCM of 8 to 32 bits or floats, plain or extensible. Source: RIFF WAVE, WAVEFORMATEXTENSIBLE. */
export function readWav(bytes: Uint8Array): Outcome<Sound, WavTrouble> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const tag = (at: number) => String.fromCharCode(...bytes.subarray(at, at + 4));
  if (bytes.length < 12 || tag(0) !== "RIFF" || tag(8) !== "WAVE") return refused({ code: "not-wav", looksLike: looksLike(bytes) });
  let format: Format | null = null;
  for (let at = 12; at + 8 <= bytes.length;) {
    const size = view.getUint32(at + 4, true);
    if (tag(at) === "fmt " && at + 24 <= bytes.length) format = readFormat(view, at + 8, size);
    if (tag(at) === "data") {
      if (!format) return refused({ code: "not-wav", looksLike: "something-else" });
      // A recorder that was switched off leaves a size of 0 or of all ones: then what is there is the sound.
      const isOpen = size === 0 || size === 0xffffffff;
      const there = bytes.length - at - 8;
      if (!isOpen && size > there + 1) return refused({ code: "cut-short", expectedBytes: size, bytes: there });
      return samplesOf(view, at + 8, isOpen ? there : Math.min(size, there), format);
    }
    at += 8 + size + (size % 2);
  }
  return refused({ code: "empty" });
}

interface Format {
  readonly code: number;
  readonly channels: number;
  readonly sampleRate: number;
  readonly bits: number;
}

function readFormat(view: DataView, at: number, size: number): Format {
  const code = view.getUint16(at, true);
  // The real format of an extensible one is the first two bytes of its GUID.
  const inner = code === EXTENSIBLE && size >= 40 && at + 26 <= view.byteLength ? view.getUint16(at + 24, true) : code;
  return {
    code: inner,
    channels: view.getUint16(at + 2, true),
    sampleRate: view.getUint32(at + 4, true),
    bits: view.getUint16(at + 14, true),
  };
}

function samplesOf(view: DataView, at: number, size: number, { code, channels, sampleRate, bits }: Format): Outcome<Sound, WavTrouble> {
  const read = readerOf(view, code, bits);
  if (!read || channels < 1 || channels > 64 || sampleRate < 8000 || sampleRate > 400_000)
    return refused({ code: "unknown-format", format: code, bits });
  const width = bits / 8;
  const frames = Math.floor(size / (width * channels));
  if (frames === 0) return refused({ code: "empty" });
  const lists = Array.from({ length: channels }, (_, channel) => {
    const list = new Float64Array(frames);
    for (let frame = 0; frame < frames; frame += 1) list[frame] = read(at + (frame * channels + channel) * width);
    return list;
  });
  return done({ sampleRate, channels: lists });
}

function readerOf(view: DataView, code: number, bits: number): ((at: number) => number) | null {
  if (code === FLOAT && bits === 32) return (at) => view.getFloat32(at, true);
  if (code === FLOAT && bits === 64) return (at) => view.getFloat64(at, true);
  if (code !== PCM) return null;
  if (bits === 8) return (at) => (view.getUint8(at) - 128) / 128;
  if (bits === 16) return (at) => view.getInt16(at, true) / 32768;
  if (bits === 24) return (at) => (view.getUint16(at, true) + view.getInt8(at + 2) * 65536) / 8388608;
  if (bits === 32) return (at) => view.getInt32(at, true) / 2147483648;
  return null;
}

function looksLike(bytes: Uint8Array): Extract<WavTrouble, { code: "not-wav" }>["looksLike"] {
  const starts = (text: string, at = 0) => [...text].every((letter, index) => bytes[at + index] === letter.charCodeAt(0));
  if (starts("ID3") || (bytes[0] === 0xff && ((bytes[1] ?? 0) & 0xe0) === 0xe0)) return "mp3";
  if (starts("OggS")) return "ogg";
  if (starts("fLaC")) return "flac";
  return starts("ftyp", 4) ? "m4a" : "something-else";
}

/** The bits of WAVEFORMATEXTENSIBLE's channel mask, in the order in which a file holds its channels. */
export const WAVE_POSITIONS = [
  { channel: "L", mask: 0x1 },
  { channel: "R", mask: 0x2 },
  { channel: "C", mask: 0x4 },
  { channel: "LFE", mask: 0x8 },
  { channel: "Lb", mask: 0x10 },
  { channel: "Rb", mask: 0x20 },
  { channel: "Ls", mask: 0x200 },
  { channel: "Rs", mask: 0x400 },
] as const;

const HEAD_BYTES = 68;

/** Writes 24-bit PCM with a channel mask. */
export function writeWav({ sampleRate, channels }: Sound, mask: number): Uint8Array {
  const frames = channels[0]?.length ?? 0;
  const block = channels.length * 3;
  const bytes = new Uint8Array(HEAD_BYTES + frames * block);
  const view = new DataView(bytes.buffer);
  const put = (at: number, text: string) => [...text].forEach((letter, index) => view.setUint8(at + index, letter.charCodeAt(0)));
  put(0, "RIFF");
  view.setUint32(4, bytes.length - 8, true);
  put(8, "WAVEfmt ");
  view.setUint32(16, 40, true);
  view.setUint16(20, EXTENSIBLE, true);
  view.setUint16(22, channels.length, true);
  view.setUint32(24, sampleRate, true);
  view.setUint32(28, sampleRate * block, true);
  view.setUint16(32, block, true);
  view.setUint16(34, 24, true);
  view.setUint16(36, 22, true);
  view.setUint16(38, 24, true);
  view.setUint32(40, mask, true);
  // KSDATAFORMAT_SUBTYPE_PCM.
  [0x01, 0, 0, 0, 0, 0, 0x10, 0, 0x80, 0, 0, 0xaa, 0, 0x38, 0x9b, 0x71].forEach((byte, index) => view.setUint8(44 + index, byte));
  put(60, "data");
  view.setUint32(64, frames * block, true);
  channels.forEach((list, channel) => {
    for (let frame = 0; frame < frames; frame += 1) {
      const value = Math.round(Math.max(-1, Math.min(1 - 2 ** -23, list[frame] ?? 0)) * 8388608);
      const at = HEAD_BYTES + frame * block + channel * 3;
      bytes[at] = value & 0xff;
      bytes[at + 1] = (value >> 8) & 0xff;
      bytes[at + 2] = (value >> 16) & 0xff;
    }
  });
  return bytes;
}
