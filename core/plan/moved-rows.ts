import { compareArrivals, type Arrival } from "@/core/chain";

/** Which rows of a board stand better and which stand worse, in their sound and in their picture. */
export interface MovedRows {
  readonly lifts: readonly string[];
  readonly lowers: readonly string[];
  readonly pictureLifts: readonly string[];
  readonly pictureLowers: readonly string[];
}

/** Compares two boards row by row; a row that only one of them has has not moved. */
export function movedRows(before: readonly Arrival[], after: readonly Arrival[]): MovedRows {
  const earlier = new Map(before.map((arrival) => [arrival.id, arrival]));
  const moved = { lifts: [] as string[], lowers: [] as string[], pictureLifts: [] as string[], pictureLowers: [] as string[] };
  for (const arrival of after) {
    const old = earlier.get(arrival.id);
    if (!old || old === arrival) continue;
    const sound = compareArrivals(arrival, old);
    if (sound > 0) moved.lifts.push(arrival.id);
    if (sound < 0) moved.lowers.push(arrival.id);
    const picture = comparePictures(arrival, old);
    if (picture > 0) moved.pictureLifts.push(arrival.id);
    if (picture < 0) moved.pictureLowers.push(arrival.id);
  }
  return moved;
}

const isAssured = ({ pictureLosses }: Arrival) =>
  !pictureLosses.some(({ code }) => code === "picture-length" || code === "picture-unknown" || code === "picture-setting-unknown");

/** A dynamic HDR format tells each scene its own range; HDR10 and HLG tell one for all. */
const HDR_RANK = { sdr: 0, hlg: 1, hdr10: 1, "hdr10-plus": 2, "dolby-vision": 2 } as const;
const CHROMA_RANK = { "420": 0, "422": 1, "444": 2 } as const;

/** Orders two pictures of a row: one at all, then detail, rate, HDR, depth, chroma, and whether the cable's length assures it. */
export function comparePictures(a: Arrival, b: Arrival): number {
  const figures = (arrival: Arrival): readonly number[] => {
    const { picture } = arrival;
    if (!picture) return [0];
    const rate = Number(picture.mode.split("@")[1] ?? 0);
    return [
      1,
      picture.lines,
      rate,
      HDR_RANK[picture.hdr],
      picture.depth,
      CHROMA_RANK[picture.chroma],
      Number(picture.gaming),
      Number(isAssured(arrival)),
    ];
  };
  const [left, right] = [figures(a), figures(b)];
  for (let index = 0; index < left.length; index += 1) {
    const difference = (left[index] ?? 0) - (right[index] ?? 0);
    if (difference) return difference;
  }
  return 0;
}
