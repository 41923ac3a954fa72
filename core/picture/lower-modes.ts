import { TIMINGS, timingFact, type PictureMode } from "@/core/facts";

const SIZES = [4320, 2160, 1080, 720] as const;

/** What a source steps down to when a mode does not pass: first a slower picture of the same size, then a smaller one, down to 720p. */
export function lowerModes(mode: PictureMode): readonly PictureMode[] {
  const { height, refreshHz } = timingFact(mode);
  const rates = refreshHz > 60 ? [refreshHz, refreshHz / 2] : [refreshHz];
  return SIZES.filter((lines) => lines <= height).flatMap((lines) => {
    const found = rates.flatMap((rate) => progressive(lines, rate) ?? []);
    const slower = found.length || lines === height ? found : [progressive(lines, refreshHz % 25 === 0 ? 50 : 60) ?? mode];
    return slower.filter((row) => row !== mode);
  });
}

/** 1080p at the rate of a larger mode: what a player drops to for want of HDCP 2.2. */
export const inHd = (mode: PictureMode): PictureMode =>
  timingFact(mode).height <= 1080 ? mode : (lowerModes(mode).find((row) => timingFact(row).height === 1080) ?? "1920x1080@60");

const progressive = (lines: number, refreshHz: number): PictureMode | undefined =>
  TIMINGS.find((row) => row.height === lines && row.refreshHz === refreshHz && row.width * 9 === lines * 16 && !row.mode.includes("i@"))
    ?.mode;
