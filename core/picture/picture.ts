import { timingFact, type PictureMode } from "@/core/facts";
import { gigabitsPerSecond, type GigabitsPerSecond } from "@/core/units";

export type Chroma = "444" | "422" | "420";
export type Depth = 8 | 10 | 12;

/** A picture on a wire. */
export interface Picture {
  readonly mode: PictureMode;
  readonly depth: Depth;
  readonly chroma: Chroma;
  readonly hdr: "sdr" | "hdr10" | "hlg" | "hdr10-plus" | "dolby-vision";
  readonly hdcp: "none" | "1.4" | "2.2" | "2.3";
  /** Variable refresh and the screen's quick mode. */
  readonly gaming: boolean;
  /** The lines of detail that are really in it: a converter gives a timing, not detail. */
  readonly lines: number;
}

/**
 * The TMDS rate of a picture: three channels of ten bits a clock, the clock raised by the depth.
 * 4:2:2 carries up to 12 bit in the clock of 8; 4:2:0 halves the clock.
 * Source: HDMI 2.0 §6.2 and §7.1; worked: 594 MHz at 10 bit 4:4:4 is 3 × 10 × 594 × 1.25 = 22.275 Gb/s.
 */
export function tmdsRate({ mode, depth, chroma }: Pick<Picture, "mode" | "depth" | "chroma">): GigabitsPerSecond {
  const clock = timingFact(mode).pixelClockMHz;
  const perDepth = chroma === "422" ? 1 : depth / 8;
  return gigabitsPerSecond((3 * 10 * clock * perDepth * (chroma === "420" ? 0.5 : 1)) / 1000);
}

const ORDER = ["none", "1.4", "2.2", "2.3"] as const;
export type Hdcp = (typeof ORDER)[number];

/** The older of two HDCP versions: what a chain of both can do. */
export const olderHdcp = (a: Hdcp, b: Hdcp): Hdcp => (ORDER.indexOf(a) <= ORDER.indexOf(b) ? a : b);
export const hdcpAtLeast = (have: Hdcp, need: Hdcp): boolean => ORDER.indexOf(have) >= ORDER.indexOf(need);
