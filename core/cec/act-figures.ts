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
export const actFigures = (household: Household, acts: readonly Act[]): readonly ActFigures[] =>
  acts.flatMap((act) => figuresOf(household, act) ?? []);

/** A household is never changed in place, so each of its acts is played once, however often it is asked about. */
const played = new WeakMap<Household, Map<string, ActFigures | null>>();

function figuresOf(household: Household, act: Act): ActFigures | null {
  const event = eventOf(act);
  const known = played.get(household) ?? new Map<string, ActFigures | null>();
  played.set(household, known);
  const found = known.get(event);
  if (found !== undefined) return found;
  const figures = workedOut(household, act, event);
  known.set(event, figures);
  return figures;
}

function workedOut(household: Household, act: Act, event: string): ActFigures | null {
  const judged = judgeAct(household, act);
  if (!judged) return null;
  const { verdict, remotes, pictureMs, soundMs } = judged;
  return {
    event,
    verdict: verdict.verdict,
    remotes: remotes.length,
    hands: remotes,
    steps: verdict.verdict === "with-a-step" ? verdict.steps.length : 0,
    readyMs: soundMs === null && pictureMs === null ? null : Math.max(soundMs ?? 0, pictureMs ?? 0),
  };
}
