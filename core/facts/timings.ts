interface TimingFact {
  readonly vic: number;
  readonly mode: string;
  readonly width: number;
  readonly height: number;
  readonly refreshHz: number;
  readonly pixelClockMHz: number;
}

/** Picture timings of home theater, in VIC order. Source: CTA-861-H Table 1 (pixel clock column). */
export const TIMINGS = [
  { vic: 4, mode: "1280x720@60", width: 1280, height: 720, refreshHz: 60, pixelClockMHz: 74.25 },
  { vic: 16, mode: "1920x1080@60", width: 1920, height: 1080, refreshHz: 60, pixelClockMHz: 148.5 },
  { vic: 31, mode: "1920x1080@50", width: 1920, height: 1080, refreshHz: 50, pixelClockMHz: 148.5 },
  { vic: 32, mode: "1920x1080@24", width: 1920, height: 1080, refreshHz: 24, pixelClockMHz: 74.25 },
  { vic: 93, mode: "3840x2160@24", width: 3840, height: 2160, refreshHz: 24, pixelClockMHz: 297 },
  { vic: 96, mode: "3840x2160@50", width: 3840, height: 2160, refreshHz: 50, pixelClockMHz: 594 },
  { vic: 97, mode: "3840x2160@60", width: 3840, height: 2160, refreshHz: 60, pixelClockMHz: 594 },
] as const satisfies readonly TimingFact[];

export type PictureMode = (typeof TIMINGS)[number]["mode"];
export const PICTURE_MODES = TIMINGS.map((row) => row.mode) as [PictureMode, ...PictureMode[]];

export function timingFact(mode: PictureMode): TimingFact {
  const row = TIMINGS.find((timing) => timing.mode === mode);
  if (!row) throw new Error(`No timing for ${mode}`);
  return row;
}
