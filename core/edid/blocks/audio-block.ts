import { AUDIO_FORMAT_CODES, LPCM_BITS, SAMPLE_RATES_KHZ, type Coding } from "@/core/facts";
import { at } from "../bytes";

/** A short audio descriptor as it is meant. `coding` null: a format this program has no use for; its bytes are kept. */
export interface AudioDescriptor {
  readonly coding: Coding | null;
  readonly formatCode: number;
  readonly channels: number;
  readonly sampleRatesKHz: readonly number[];
  /** LPCM only. */
  readonly bits: readonly number[] | null;
  /** Lossy codings with a stated ceiling only, in kb/s. */
  readonly maxKbps: number | null;
  /** Dolby Digital Plus and MAT: objects are understood. */
  readonly atmos: boolean | null;
  readonly bytes: readonly [number, number, number];
}

const byCode = new Map<number, (typeof AUDIO_FORMAT_CODES)[number]>(AUDIO_FORMAT_CODES.map((row) => [row.code, row]));

/** Reads whole descriptors of three bytes; a rest is left out. Source: CTA-861-H §7.5.2 and Table 39. */
export function readAudioDescriptors(payload: Uint8Array): readonly AudioDescriptor[] {
  return Array.from({ length: Math.floor(payload.length / 3) }, (_, index) => readDescriptor(payload.subarray(index * 3, index * 3 + 3)));
}

function readDescriptor(bytes: Uint8Array): AudioDescriptor {
  const [first, second, third] = [at(bytes, 0), at(bytes, 1), at(bytes, 2)];
  const formatCode = (first >> 3) & 0x0f;
  const row = byCode.get(formatCode);
  return {
    coding: row?.coding ?? null,
    formatCode,
    channels: (first & 0x07) + 1,
    sampleRatesKHz: SAMPLE_RATES_KHZ.filter((_, bit) => second & (1 << bit)),
    bits: row?.thirdByte === "bits" ? LPCM_BITS.filter((_, bit) => third & (1 << bit)) : null,
    maxKbps: row?.thirdByte === "max-rate" && third > 0 ? third * 8 : null,
    // Source: Dolby registrations in CTA-861-H Table 41: bit 0 of the third byte says JOC in code 10, and MAT beyond TrueHD in code 12.
    atmos: row?.coding === "eac3" || row?.coding === "mat" ? (third & 1) === 1 : null,
    bytes: [first, second, third],
  };
}

/** Writes descriptors back, each with the bytes it is for. */
export const writeAudioDescriptors = (descriptors: readonly AudioDescriptor[]): number[] => descriptors.flatMap(({ bytes }) => [...bytes]);

/** A descriptor from what it should say; rates are those a device of its class takes. */
export function makeAudioDescriptor(coding: Coding, channels: number, objects: boolean): AudioDescriptor | null {
  const row = AUDIO_FORMAT_CODES.find((one) => one.coding === coding);
  if (!row) return null;
  const rates = coding === "lpcm" ? 0x7f : coding === "mat" ? 0x54 : coding === "dts-hd-ma" ? 0x5e : 0x07;
  const third = { bits: 0x07, "max-rate": 640 / 8, flags: objects && coding !== "dts-hd-ma" ? 0x01 : 0x00 }[row.thirdByte];
  const rateByte = coding === "dts" ? 0x1e : rates;
  return readDescriptor(new Uint8Array([(row.code << 3) | (Math.min(8, channels) - 1), rateByte, coding === "dts" ? 0xc0 : third]));
}
