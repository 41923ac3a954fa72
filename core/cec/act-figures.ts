import { eventOf, type Act } from "./acts";
import { judgeAct } from "./judge";
import type { Household } from "./stations";

/** What an everyday act asks of the household, as numbers that plans are compared by. */
export interface ActFigures {
  readonly event: string;
  readonly verdict: "as-wished" | "with-a-step" | "fails" | "unstable";
  /** Remotes in the hand, those devices whose they are, and keys that remain after the first. */
  readonly remotes: number;
  readonly hands: readonly string[];
  readonly steps: number;
  /** Until picture and sound are there; null: they do not come, or the act is about neither. */
  readonly readyMs: number | null;
}

/** The figures of acts; those that the room has nobody for are left out. */
export function actFigures(household: Household, acts: readonly Act[]): readonly ActFigures[] {
  return acts.flatMap((act): ActFigures[] => {
    const judged = judgeAct(household, act);
    if (!judged) return [];
    const { verdict, remotes, pictureMs, soundMs } = judged;
    return [
      {
        event: eventOf(act),
        verdict: verdict.verdict,
        remotes: remotes.length,
        hands: remotes,
        steps: verdict.verdict === "with-a-step" ? verdict.steps.length : 0,
        readyMs: soundMs === null && pictureMs === null ? null : Math.max(soundMs ?? 0, pictureMs ?? 0),
      },
    ];
  });
}
