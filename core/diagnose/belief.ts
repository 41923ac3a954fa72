import { done, refused, type Outcome } from "@/core/outcome";
import { likelihoodOfSymptom, MISREAD, normalised, type Case } from "./case";

/** What became of a cure. "was-right": there was nothing to mend; "changed-nothing": it was wrong, and putting it right did not help. */
export const CURE_ANSWERS = ["mended", "was-right", "changed-nothing"] as const;
export type CureAnswer = (typeof CURE_ANSWERS)[number];

/** Answers that every look allows beside its own: something that none of them is, and not known. */
export const OTHER = "something-else";
export const NOT_KNOWN = "not-known";

/** A step that was taken, with what it showed. */
export interface Observed {
  readonly check: string;
  readonly answer: string;
}

export type ObservedTrouble =
  | { readonly code: "no-such-symptom"; readonly id: string }
  | { readonly code: "no-such-check"; readonly id: string }
  | { readonly code: "no-such-answer"; readonly id: string; readonly answer: string; readonly answers: readonly string[] };

/** How likely each suspect is, by its place in the case; together one. */
export type Belief = Float64Array;

/**
 * What is believed after what was told and seen. Answers count as independent given the fault, so their order does not matter, and one that is
 * given twice counts twice: a person who looks again errs again.
 */
export function beliefAfter(given: Case, symptoms: readonly string[], observed: readonly Observed[]): Outcome<Belief, ObservedTrouble> {
  const belief = Float64Array.from(given.priors);
  for (const id of symptoms) {
    const symptom = given.symptoms.find((one) => one.id === id);
    if (!symptom) return refused({ code: "no-such-symptom", id });
    for (let index = 0; index < belief.length; index += 1) multiply(belief, index, likelihoodOfSymptom(given, index, symptom));
  }
  for (const { check, answer } of observed) {
    const likely = likelihoodOf(given, check, answer);
    if (!likely.ok) return likely;
    for (let index = 0; index < belief.length; index += 1) multiply(belief, index, likely.value(index));
  }
  return done(normalised(belief));
}

const multiply = (belief: Belief, index: number, by: number): void => {
  belief[index] = (belief[index] ?? 0) * by;
};

/** How likely one answer is under each suspect. */
function likelihoodOf(given: Case, check: string, answer: string): Outcome<(index: number) => number, ObservedTrouble> {
  const look = given.looks.find(({ id }) => id === check);
  if (look) {
    if (answer === NOT_KNOWN) return done(() => 1);
    const which = look.answers.indexOf(answer);
    if (which >= 0) return done((index) => look.likelihood[index]?.[which] ?? 0);
    if (answer === OTHER) return done((index) => ((look.shows[index] ?? -1) < 0 ? 1 - MISREAD : MISREAD));
    return refused({ code: "no-such-answer", id: check, answer, answers: [...look.answers, OTHER, NOT_KNOWN] });
  }
  const cure = given.cures.find(({ id }) => id === check);
  if (!cure) return refused({ code: "no-such-check", id: check });
  if (answer === NOT_KNOWN) return done(() => 1);
  if (!CURE_ANSWERS.some((one) => one === answer))
    return refused({ code: "no-such-answer", id: check, answer, answers: [...CURE_ANSWERS, NOT_KNOWN] });
  return done((index) => likelihoodOfCure(mendingOf(cure, index), answer as CureAnswer));
}

export type Mending = "all" | "part" | "none";
export const mendingOf = (cure: Pick<Case["cures"][number], "mends" | "mendsPart">, index: number): Mending =>
  cure.mends[index] ? "all" : cure.mendsPart[index] ? "part" : "none";

/** How likely an answer to a cure is, by what it mends of a suspect. */
export function likelihoodOfCure(mending: Mending, answer: CureAnswer): number {
  const expected = { all: "mended", part: "changed-nothing", none: "was-right" } as const;
  return answer === expected[mending] ? 1 - MISREAD : MISREAD / 2;
}
