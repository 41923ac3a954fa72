import { milliseconds, type Milliseconds } from "@/core/units";

interface Bounds {
  /** Sound before the picture, as a negative figure. */
  readonly earlyMs: Milliseconds;
  readonly lateMs: Milliseconds;
}

/** Sound against picture: negative is sound early. Source: ITU-R BT.1359-1 §2 (detectability) and Annex 1 (acceptability); EBU R37 for the production target. */
export const LIP_SYNC = {
  noticeable: { earlyMs: milliseconds(-45), lateMs: milliseconds(125) },
  unacceptable: { earlyMs: milliseconds(-90), lateMs: milliseconds(185) },
  /** EBU R37-2007: what a careful production keeps to. */
  target: { earlyMs: milliseconds(-40), lateMs: milliseconds(60) },
  source: "ITU-R BT.1359-1; EBU R37-2007",
} as const satisfies Record<"noticeable" | "unacceptable" | "target", Bounds> & { source: string };

export type LipSyncJudgement = "in-step" | "sound-early" | "sound-late" | "sound-far-early" | "sound-far-late";

/** Where a lip-sync figure falls among the bounds of BT.1359. */
export function judgeLipSync(lipSync: Milliseconds): LipSyncJudgement {
  if (lipSync < LIP_SYNC.unacceptable.earlyMs) return "sound-far-early";
  if (lipSync < LIP_SYNC.noticeable.earlyMs) return "sound-early";
  if (lipSync > LIP_SYNC.unacceptable.lateMs) return "sound-far-late";
  if (lipSync > LIP_SYNC.noticeable.lateMs) return "sound-late";
  return "in-step";
}

/** Whether a figure keeps to the narrower production target of EBU R37: 40 ms early to 60 ms late. */
export const withinLipSyncTarget = (lipSync: Milliseconds): boolean =>
  lipSync >= LIP_SYNC.target.earlyMs && lipSync <= LIP_SYNC.target.lateMs;
