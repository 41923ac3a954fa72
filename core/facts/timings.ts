interface TimingFact {
  readonly vic: number;
  readonly mode: string;
  readonly width: number;
  /** Pixels of a line with its blanking, at the pixel clock of this table. */
  readonly totalWidth: number;
  readonly height: number;
  readonly refreshHz: number;
  readonly pixelClockMHz: number;
}

/**
 * Picture timings of home theater, in VIC order. Source: CTA-861-H Table 1 (pixel clock and Htotal columns).
 * Interlaced modes carry "i" in their name and the rate of their fields; their clock is that of the doubled pixels on the wire.
 */
export const TIMINGS = [
  { vic: 1, mode: "640x480@60", width: 640, totalWidth: 800, height: 480, refreshHz: 60, pixelClockMHz: 25.175 },
  { vic: 3, mode: "720x480@60", width: 720, totalWidth: 858, height: 480, refreshHz: 60, pixelClockMHz: 27 },
  { vic: 4, mode: "1280x720@60", width: 1280, totalWidth: 1650, height: 720, refreshHz: 60, pixelClockMHz: 74.25 },
  { vic: 5, mode: "1920x1080i@60", width: 1920, totalWidth: 2200, height: 1080, refreshHz: 60, pixelClockMHz: 74.25 },
  { vic: 7, mode: "720x480i@60", width: 720, totalWidth: 1716, height: 480, refreshHz: 60, pixelClockMHz: 27 },
  { vic: 16, mode: "1920x1080@60", width: 1920, totalWidth: 2200, height: 1080, refreshHz: 60, pixelClockMHz: 148.5 },
  { vic: 18, mode: "720x576@50", width: 720, totalWidth: 864, height: 576, refreshHz: 50, pixelClockMHz: 27 },
  { vic: 19, mode: "1280x720@50", width: 1280, totalWidth: 1980, height: 720, refreshHz: 50, pixelClockMHz: 74.25 },
  { vic: 20, mode: "1920x1080i@50", width: 1920, totalWidth: 2640, height: 1080, refreshHz: 50, pixelClockMHz: 74.25 },
  { vic: 22, mode: "720x576i@50", width: 720, totalWidth: 1728, height: 576, refreshHz: 50, pixelClockMHz: 27 },
  { vic: 31, mode: "1920x1080@50", width: 1920, totalWidth: 2640, height: 1080, refreshHz: 50, pixelClockMHz: 148.5 },
  { vic: 32, mode: "1920x1080@24", width: 1920, totalWidth: 2750, height: 1080, refreshHz: 24, pixelClockMHz: 74.25 },
  { vic: 34, mode: "1920x1080@30", width: 1920, totalWidth: 2200, height: 1080, refreshHz: 30, pixelClockMHz: 74.25 },
  { vic: 63, mode: "1920x1080@120", width: 1920, totalWidth: 2200, height: 1080, refreshHz: 120, pixelClockMHz: 297 },
  { vic: 93, mode: "3840x2160@24", width: 3840, totalWidth: 5500, height: 2160, refreshHz: 24, pixelClockMHz: 297 },
  { vic: 94, mode: "3840x2160@25", width: 3840, totalWidth: 5280, height: 2160, refreshHz: 25, pixelClockMHz: 297 },
  { vic: 95, mode: "3840x2160@30", width: 3840, totalWidth: 4400, height: 2160, refreshHz: 30, pixelClockMHz: 297 },
  { vic: 96, mode: "3840x2160@50", width: 3840, totalWidth: 5280, height: 2160, refreshHz: 50, pixelClockMHz: 594 },
  { vic: 97, mode: "3840x2160@60", width: 3840, totalWidth: 4400, height: 2160, refreshHz: 60, pixelClockMHz: 594 },
  { vic: 102, mode: "4096x2160@60", width: 4096, totalWidth: 4400, height: 2160, refreshHz: 60, pixelClockMHz: 594 },
  { vic: 117, mode: "3840x2160@100", width: 3840, totalWidth: 5280, height: 2160, refreshHz: 100, pixelClockMHz: 1188 },
  { vic: 118, mode: "3840x2160@120", width: 3840, totalWidth: 4400, height: 2160, refreshHz: 120, pixelClockMHz: 1188 },
  { vic: 194, mode: "7680x4320@24", width: 7680, totalWidth: 11000, height: 4320, refreshHz: 24, pixelClockMHz: 1188 },
  { vic: 196, mode: "7680x4320@30", width: 7680, totalWidth: 9000, height: 4320, refreshHz: 30, pixelClockMHz: 1188 },
  { vic: 198, mode: "7680x4320@50", width: 7680, totalWidth: 10560, height: 4320, refreshHz: 50, pixelClockMHz: 2376 },
  { vic: 199, mode: "7680x4320@60", width: 7680, totalWidth: 9000, height: 4320, refreshHz: 60, pixelClockMHz: 2376 },
] as const satisfies readonly TimingFact[];

export type PictureMode = (typeof TIMINGS)[number]["mode"];
export const PICTURE_MODES = TIMINGS.map((row) => row.mode) as [PictureMode, ...PictureMode[]];

const byMode = new Map<PictureMode, TimingFact>(TIMINGS.map((row) => [row.mode, row]));

export function timingFact(mode: PictureMode): TimingFact {
  const row = byMode.get(mode);
  if (!row) throw new Error(`No timing for ${mode}`);
  return row;
}
