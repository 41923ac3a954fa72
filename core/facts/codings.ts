import { megabitsPerSecond, type MegabitsPerSecond } from "@/core/units";

/** How a coding travels in an IEC 60958 channel: frames per second, each of 32 payload bits (2 × 16). */
interface Burst {
  readonly frameRateKHz: 48 | 192 | 768;
}

interface CodingFact {
  readonly id: string;
  /** The name as an installer says it and as a display shows it. */
  readonly name: string;
  readonly lossless: boolean;
  /** The largest bed that the coding can hold, in channels. */
  readonly maxChannels: number;
  readonly objects: "none" | "atmos" | "dtsx";
  /** True when a player hides the object version unless the list it sees names objects. */
  readonly objectsNeedListing: boolean;
  /** Null: not an IEC 61937 burst; the channel count is then what limits it. */
  readonly burst: Burst | null;
  readonly source: string;
}

/** The codings of home theater sound, in the order of the job file's names. */
export const CODINGS = [
  {
    id: "lpcm",
    name: "LPCM",
    lossless: true,
    maxChannels: 8,
    objects: "none",
    objectsNeedListing: false,
    burst: null,
    source: "IEC 60958-1; CTA-861-H §7.5.2 format code 1",
  },
  {
    id: "ac3",
    name: "Dolby Digital",
    lossless: false,
    maxChannels: 6,
    objects: "none",
    objectsNeedListing: false,
    burst: { frameRateKHz: 48 },
    source: "IEC 61937-3: repetition period 1536 frames at 48 kHz",
  },
  {
    id: "eac3",
    name: "Dolby Digital Plus",
    lossless: false,
    maxChannels: 8,
    objects: "atmos",
    objectsNeedListing: true,
    burst: { frameRateKHz: 192 },
    source: "IEC 61937-3: 6144 frames at four times 48 kHz; JOC flag CTA-861-H format code 10",
  },
  {
    id: "truehd",
    name: "Dolby TrueHD",
    lossless: true,
    maxChannels: 8,
    objects: "atmos",
    objectsNeedListing: false,
    burst: { frameRateKHz: 768 },
    source: "IEC 61937-9 (MAT): high bit rate, 768 kHz frames",
  },
  {
    id: "mat",
    name: "Dolby MAT",
    lossless: true,
    maxChannels: 8,
    objects: "atmos",
    objectsNeedListing: true,
    burst: { frameRateKHz: 768 },
    source: "IEC 61937-9; object flag CTA-861-H format code 12",
  },
  {
    id: "dts",
    name: "DTS",
    lossless: false,
    maxChannels: 6,
    objects: "none",
    objectsNeedListing: false,
    burst: { frameRateKHz: 48 },
    source: "IEC 61937-5: types I to III at 48 kHz",
  },
  {
    id: "dts-hd-hra",
    name: "DTS-HD High Resolution",
    lossless: false,
    maxChannels: 8,
    objects: "none",
    objectsNeedListing: false,
    burst: { frameRateKHz: 192 },
    source: "IEC 61937-5 type IV at 192 kHz",
  },
  {
    id: "dts-hd-ma",
    name: "DTS-HD Master Audio",
    lossless: true,
    maxChannels: 8,
    objects: "dtsx",
    objectsNeedListing: false,
    burst: { frameRateKHz: 768 },
    source: "IEC 61937-5 type IV at 768 kHz",
  },
  {
    id: "aac",
    name: "AAC",
    lossless: false,
    maxChannels: 6,
    objects: "none",
    objectsNeedListing: false,
    burst: { frameRateKHz: 48 },
    source: "IEC 61937-6",
  },
  {
    id: "analogue",
    name: "analogue",
    lossless: true,
    maxChannels: 2,
    objects: "none",
    objectsNeedListing: false,
    burst: null,
    source: "after a DAC; two channels per pair of leads",
  },
] as const satisfies readonly CodingFact[];

export type Coding = (typeof CODINGS)[number]["id"];
export type Objects = CodingFact["objects"];

export const CODING_IDS = CODINGS.map((row) => row.id) as [Coding, ...Coding[]];

const byId = new Map<string, CodingFact>(CODINGS.map((row) => [row.id, row]));

/** The row of one coding. Total over `Coding`, so it never misses. */
export function codingFact(coding: Coding): CodingFact {
  const row = byId.get(coding);
  if (!row) throw new Error(`No fact for coding ${coding}`);
  return row;
}

/**
 * What a coding fills of an IEC 60958 channel, whatever its coded rate: frame rate × 32 payload bits.
 * Null for LPCM and analogue, which are bounded by channels instead.
 * Source: IEC 61937-1 (two 16-bit words a frame).
 */
export function payloadRate(coding: Coding): MegabitsPerSecond | null {
  const { burst } = codingFact(coding);
  return burst ? megabitsPerSecond((burst.frameRateKHz * 32) / 1000) : null;
}

/** What stereo LPCM of a sampling rate fills of an IEC 60958 channel: one frame of 32 payload bits for each sample. Source: IEC 60958-1 §4. */
export const stereoRate = (sampleRateKHz: number): MegabitsPerSecond => megabitsPerSecond((sampleRateKHz * 32) / 1000);
