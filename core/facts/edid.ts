import type { Coding } from "./codings";

/** Short audio descriptor format codes. Source: CTA-861-H Table 37 (audio format codes); codes 6 and 3 to 5 told as they are named there. */
export const AUDIO_FORMAT_CODES = [
  { code: 1, coding: "lpcm", thirdByte: "bits" },
  { code: 2, coding: "ac3", thirdByte: "max-rate" },
  { code: 6, coding: "aac", thirdByte: "max-rate" },
  { code: 7, coding: "dts", thirdByte: "max-rate" },
  { code: 10, coding: "eac3", thirdByte: "flags" },
  { code: 11, coding: "dts-hd-ma", thirdByte: "flags" },
  { code: 12, coding: "mat", thirdByte: "flags" },
] as const satisfies readonly { code: number; coding: Coding; thirdByte: "bits" | "max-rate" | "flags" }[];

/** Sampling rates by bit of the second byte. Source: CTA-861-H Table 39. */
export const SAMPLE_RATES_KHZ = [32, 44.1, 48, 88.2, 96, 176.4, 192] as const;

/** LPCM word lengths by bit of the third byte. Source: CTA-861-H Table 39. */
export const LPCM_BITS = [16, 20, 24] as const;

/** Speaker positions by bit, from the least of the first byte. Source: CTA-861-H Table 58 (speaker allocation data block). */
export const SPEAKER_POSITIONS = [
  "FL/FR",
  "LFE",
  "FC",
  "BL/BR",
  "BC",
  "FLc/FRc",
  "RLC/RRC",
  "FLw/FRw",
  "TpFL/TpFR",
  "TpC",
  "TpFC",
  "LS/RS",
  "LFE2",
  "TpBC",
  "SiL/SiR",
  "TpSiL/TpSiR",
  "TpBL/TpBR",
  "BtFC",
  "BtFL/BtFR",
  "TpLS/TpRS",
] as const;

/** Vendor and organisation identifiers, most significant byte first. Source: HDMI 1.4 §8.3.2, HDMI 2.1 §10.3.2, and the makers' public registrations. */
export const OUI = { hdmi: 0x000c03, hdmiForum: 0xc45dd8, dolby: 0x00d046, hdr10Plus: 0x90848b } as const;

/** Maximum fixed-rate link by its code in the HDMI Forum block. Source: HDMI 2.1 Table 10-6 (Max_FRL_Rate). */
export const FRL_BY_CODE = [null, 9, 18, 24, 32, 40, 48] as const;

/** Electro-optical transfer functions by bit. Source: CTA-861-H Table 93 (HDR static metadata data block). */
export const EOTFS = ["sdr", "hdr", "pq", "hlg"] as const;

/**
 * Blanking of the timings that a detailed timing descriptor can hold, for making one.
 * Source: CTA-861-H Table 2 (detailed timings); front porch, sync, back porch, horizontally in pixels and vertically in lines, all syncs positive.
 */
export const DETAILED_TIMINGS = [
  { mode: "3840x2160@60", vic: 97, horizontal: [176, 88, 296], vertical: [8, 10, 72] },
  { mode: "3840x2160@50", vic: 96, horizontal: [1056, 88, 296], vertical: [8, 10, 72] },
  { mode: "3840x2160@30", vic: 95, horizontal: [176, 88, 296], vertical: [8, 10, 72] },
  { mode: "1920x1080@60", vic: 16, horizontal: [88, 44, 148], vertical: [4, 5, 36] },
  { mode: "1920x1080@50", vic: 31, horizontal: [528, 44, 148], vertical: [4, 5, 36] },
  { mode: "1280x720@60", vic: 4, horizontal: [110, 40, 220], vertical: [5, 5, 20] },
] as const;
