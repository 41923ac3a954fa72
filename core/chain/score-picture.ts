import type { Picture, PictureLoss } from "@/core/picture";
import type { Arrival } from "./arrival";

/** A dynamic HDR format tells each scene its own range; HDR10 and HLG tell one for all. */
const HDR_RANK = { sdr: 0, hlg: 1, hdr10: 1, "hdr10-plus": 2, "dolby-vision": 2 } as const satisfies Record<Picture["hdr"], number>;
const CHROMA_RANK = { "420": 0, "422": 1, "444": 2 } as const satisfies Record<Picture["chroma"], number>;

/** What leaves a picture as it is but not guaranteed. */
const DOUBTS: ReadonlySet<PictureLoss["code"]> = new Set<PictureLoss["code"]>([
  "picture-length",
  "picture-unknown",
  "picture-setting-unknown",
]);

/**
 * How good a picture is, as one number: one at all, then lines of detail, rate, HDR, depth, chroma, gaming features, and whether its
 * length and facts guarantee it. 0: none.
 */
export function scorePicture(picture: Picture | null, losses: readonly PictureLoss[]): number {
  if (!picture) return 0;
  const rate = Number(picture.mode.split("@")[1] ?? 0);
  // Each figure in a place of its own, wide enough for its greatest value.
  const places: readonly (readonly [value: number, room: number])[] = [
    [picture.lines, 8192],
    [rate, 256],
    [HDR_RANK[picture.hdr], 4],
    [picture.depth, 16],
    [CHROMA_RANK[picture.chroma], 4],
    [Number(picture.gaming), 2],
    [Number(!losses.some(({ code }) => DOUBTS.has(code))), 2],
  ];
  return 1 + places.reduce((sum, [value, room]) => sum * room + value, 0);
}

/** Above every score that a picture can have. */
export const MOST_PICTURE = 8192 * 256 * 4 * 16 * 4 * 2 * 2;

/** Orders two pictures of a row: positive when that of `a` is better. */
export const comparePictures = (a: Arrival, b: Arrival): number =>
  scorePicture(a.picture, a.pictureLosses) - scorePicture(b.picture, b.pictureLosses);
