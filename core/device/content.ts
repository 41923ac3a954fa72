import { z } from "zod";
import { BED_IDS, CODING_IDS, PICTURE_MODES } from "@/core/facts";

/** One sound track as mastered. */
export const Track = z.strictObject({
  coding: z.enum(CODING_IDS),
  channels: z.enum(BED_IDS),
  objects: z.enum(["none", "atmos", "dtsx"]).default("none"),
  /** Of lossless sound; lossy codings are taken as 48. */
  sampleRateKHz: z.number().min(8).max(384).default(48),
});
export type Track = z.infer<typeof Track>;

export const PictureWish = z.strictObject({
  mode: z.enum(PICTURE_MODES),
  depth: z.union([z.literal(8), z.literal(10), z.literal(12)]),
  chroma: z.enum(["444", "422", "420"]),
  hdr: z.enum(["sdr", "hdr10", "hlg", "hdr10-plus", "dolby-vision"]),
  /** The picture would run at a variable rate, with the screen in its quick mode. */
  gaming: z.boolean().default(false),
  /** Protected 2160p plays only where every hop has HDCP 2.2 or newer. */
  protected: z.boolean(),
});
export type PictureWish = z.infer<typeof PictureWish>;

/** Something people watch, play or hear: its tracks, the best first, and its picture as mastered. */
export const Content = z.strictObject({
  id: z.string().min(1).max(64),
  name: z.string().min(1).max(80),
  kind: z.enum(["film", "series", "concert", "news", "game", "music"]),
  tracks: z.array(Track).min(1).max(8),
  picture: PictureWish.nullable().default(null),
});
export type Content = z.infer<typeof Content>;
