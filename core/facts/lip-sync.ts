import { milliseconds, type Milliseconds } from "@/core/units";

/** Sound against picture: negative is sound early. Source: ITU-R BT.1359-1 §2 (detectability) and Annex 1 (acceptability). */
export const LIP_SYNC = {
  noticeable: { earlyMs: milliseconds(-45), lateMs: milliseconds(125) },
  unacceptable: { earlyMs: milliseconds(-90), lateMs: milliseconds(185) },
  source: "ITU-R BT.1359-1",
} as const;

export type LipSyncJudgement = "in-step" | "sound-early" | "sound-late" | "sound-far-early" | "sound-far-late";

/** Where a lip-sync figure falls among the bounds of BT.1359. */
export function judgeLipSync(lipSync: Milliseconds): LipSyncJudgement {
  if (lipSync < LIP_SYNC.unacceptable.earlyMs) return "sound-far-early";
  if (lipSync < LIP_SYNC.noticeable.earlyMs) return "sound-early";
  if (lipSync > LIP_SYNC.unacceptable.lateMs) return "sound-far-late";
  if (lipSync > LIP_SYNC.noticeable.lateMs) return "sound-late";
  return "in-step";
}
