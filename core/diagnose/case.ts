import { CHANGES, COURSES, faultKindFact, JUST_CHANGED, MISREAD_ONE_IN, type FaultKind } from "@/core/facts";
import type { Job } from "@/core/job";
import { isMendedBy, type Fault } from "./fault";
import { AS_RECORDED, NO_HISTORY, priorsOf, UNKNOWN, type FirmFaults, type PlayedFault } from "./job-faults";
import { contentOf, type Healthy, type Seen } from "./seen";
import { curesOfFaults, looksOfJob, minutesOf, workOfCure, workOfLook } from "./steps-of-job";
import { stepId, type Cure, type Look } from "./step";
import { BETTER, fitsSymptom, symptomsOf, troubleOf, type Symptom } from "./symptom";

/** One thing that may be the matter: one fault, or two at once. */
export interface Suspect {
  readonly id: string;
  readonly faults: readonly Fault[];
  readonly seen: Seen;
}

/** A look with everything that it can show, and how likely each answer is under each suspect, row by suspect. */
export interface LookRow {
  readonly id: string;
  readonly look: Look;
  readonly minutes: number;
  readonly answers: readonly string[];
  readonly likelihood: readonly Float64Array[];
  /** What each suspect shows, as an index into the answers; -1: anything. For an asked question it is the commonest answer. */
  readonly shows: Int16Array;
}

/** A cure with the suspects that it mends, wholly or in part. */
export interface CureRow {
  readonly id: string;
  readonly cure: Cure;
  readonly minutes: number;
  readonly mends: Uint8Array;
  /** Suspects of two faults of which it mends one. */
  readonly mendsPart: Uint8Array;
}

/** A room in trouble, ready for questions: its suspects, what can be told of it, and all that can be done. */
export interface Case {
  readonly job: Job;
  readonly healthy: Healthy;
  readonly suspects: readonly Suspect[];
  readonly priors: Float64Array;
  readonly symptoms: readonly Symptom[];
  /** Of these, the ones that the room as recorded gives rise to by itself. */
  readonly recorded: ReadonlySet<string>;
  readonly looks: readonly LookRow[];
  readonly cures: readonly CureRow[];
}

/** A case of faults that were played already, with pairs of them where single ones do not explain what was seen. */
export function caseFrom(
  healthy: Healthy,
  played: readonly PlayedFault[],
  firm: FirmFaults = NO_HISTORY,
  pairs: readonly (readonly [PlayedFault, PlayedFault, Seen])[] = [],
): Case {
  const { job } = healthy;
  const recorded = recordedTroubles(healthy);
  const singles: readonly Suspect[] = [
    ...played.map(({ fault, seen }) => ({ id: fault.id, faults: [fault], seen })),
    ...(recorded.length ? [{ id: AS_RECORDED.id, faults: [AS_RECORDED], seen: healthy.seen }] : []),
  ];
  const unknown: Suspect = { id: UNKNOWN.id, faults: [UNKNOWN], seen: healthy.seen };
  const both = pairs.map(([a, b, seen]): Suspect => ({ id: `${a.fault.id}+${b.fault.id}`, faults: [a.fault, b.fault], seen }));
  const suspects = [...singles, ...both, unknown];
  const single = priorsOf([...singles.flatMap(({ faults }) => faults), UNKNOWN], firm);
  const priorOf = new Map([...singles, unknown].map(({ id }, index) => [id, single[index] ?? 0]));
  const priors = normalised(suspects.map(({ faults }) => faults.reduce((product, { id }) => product * (priorOf.get(id) ?? 0), 1)));
  const symptoms = [
    ...new Map([...played.flatMap(({ seen }) => symptomsOf(seen, healthy.seen)), ...recorded].map((one) => [one.id, one])).values(),
  ];
  return {
    job,
    healthy,
    suspects,
    priors,
    symptoms,
    recorded: new Set(recorded.map(({ id }) => id)),
    looks: looksOfJob(healthy).flatMap((look) => lookRow(healthy, suspects, look)),
    cures: curesOfFaults(suspects.flatMap(({ faults }) => faults)).map((cure) => cureRow(job, suspects, cure)),
  };
}

export function normalised(weights: ArrayLike<number>): Float64Array {
  const values = Float64Array.from(weights);
  const sum = values.reduce((all, one) => all + one, 0);
  return sum > 0 ? values.map((value) => value / sum) : values;
}

/** What a room that is just as recorded cannot do: rows that are silent, without picture or less than they could be. */
function recordedTroubles({ rows, seen }: Healthy): readonly Symptom[] {
  const better = new Map(
    [...seen.rows].map(([id, shown]) => {
      const verdict = rows.get(id)?.verdict;
      return [id, verdict === "full" || verdict === "unknown" ? shown : BETTER] as const;
    }),
  );
  return symptomsOf(seen, { ...seen, rows: better });
}

/** How likely a suspect is to bring about a complaint. */
export function likelihoodOfSymptom({ healthy, suspects, recorded }: Case, index: number, symptom: Symptom): number {
  const suspect = suspects[index];
  if (!suspect) return 0;
  const [first] = suspect.faults;
  if (first?.kind === "unknown") return UNKNOWN_FITS;
  if (first?.kind === "as-recorded") return recorded.has(symptom.id) ? 1 - MISREAD : MISREAD;
  switch (fitsSymptom(symptom, suspect.seen, healthy.seen)) {
    case "told":
      return 1 - MISREAD;
    case "broader":
      return TOLD_NARROWER;
    case "not-so":
      return MISREAD;
  }
}

/** How often a complaint is heard in this room, against the others: by the priors of what brings it about. */
export const chanceOfSymptom = ({ suspects, priors, healthy }: Case, symptom: Symptom): number =>
  suspects.reduce(
    (sum, { faults, seen }, index) =>
      faults[0]?.kind !== "unknown" && fitsSymptom(symptom, seen, healthy.seen) === "told" ? sum + (priors[index] ?? 0) : sum,
    0,
  );

/** What is misread, overlooked or taken for mended. */
export const MISREAD = 1 / MISREAD_ONE_IN;
/** Something unknown may bring about any complaint, none more than another. */
const UNKNOWN_FITS = 0.3;
/** A household that hears nothing at all does now and then tell of one player alone. */
const TOLD_NARROWER = 0.3;

function lookRow(healthy: Healthy, suspects: readonly Suspect[], look: Look): readonly LookRow[] {
  const base = { id: stepId(look), look, minutes: minutesOf(workOfLook(look)) };
  if (look.does === "ask") {
    const answers = look.about === "changed" ? CHANGES : COURSES;
    const told = suspects.map(({ faults }) => faults.map(({ kind }) => (look.about === "changed" ? changesTold(kind) : coursesTold(kind))));
    const likelihood = told.map((ofFaults) => normalised(answers.map((_, index) => mean(ofFaults.map((one) => one[index] ?? 0)))));
    const shows = Int16Array.from(likelihood, (row) => row.indexOf(Math.max(...row)));
    return [{ ...base, answers: [...answers], likelihood, shows }];
  }
  const shown = suspects.map(({ faults, seen }) => (faults[0]?.kind === "unknown" ? null : showsIn(seen, healthy, look)));
  const answers = [...new Set([showsIn(healthy.seen, healthy, look), ...shown.flatMap((one) => one ?? [])])];
  // A look that shows the same whatever is wrong tells nothing.
  if (answers.length < 2) return [];
  const shows = Int16Array.from(shown, (one) => (one === null ? -1 : answers.indexOf(one)));
  const rest = MISREAD / (answers.length - 1);
  const likelihood = [...shows].map((index) =>
    Float64Array.from(answers, (_, answer) => (index < 0 ? 1 / answers.length : answer === index ? 1 - MISREAD : rest)),
  );
  return [{ ...base, answers, likelihood, shows }];
}

const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / (values.length || 1);

/** Nothing changed is what a household says first, whatever changed. */
const SAYS_NOTHING = 12;
const changesTold = (kind: FaultKind): Float64Array => {
  const { after } = faultKindFact(kind);
  return normalised(CHANGES.map((change) => (change === "nothing" ? SAYS_NOTHING : after.includes(change) ? JUST_CHANGED : 1)));
};
/** In seven of ten a household tells rightly how a fault behaves. */
const COURSE_TOLD = 0.7;
const coursesTold = (kind: FaultKind): Float64Array => {
  const { course } = faultKindFact(kind);
  return Float64Array.from(COURSES, (one) => (one === course ? COURSE_TOLD : (1 - COURSE_TOLD) / (COURSES.length - 1)));
};

/** What a look shows in a room. */
export function showsIn(seen: Seen, healthy: Healthy, look: Exclude<Look, { does: "ask" }>): string {
  switch (look.does) {
    case "play":
      return seen.rows.get(look.row) ?? "silent";
    case "act":
      return seen.acts.get(look.event) ?? "nothing";
    case "tone":
      return seen.tones.get(look.unit) ?? "nothing";
    case "bypass":
      return seen.bypassed.get(look.device) ?? "silent";
    case "ask-players":
      return playersInTrouble(seen, healthy);
    case "lamp":
    case "panel":
    case "red-light":
    case "found-list":
    case "format-list":
      return seen.glances.get(stepId(look)) ?? "nothing";
  }
}

/** The players of which nothing is as it should be, joined by "+"; "none" where each plays something as it should. */
function playersInTrouble(seen: Seen, { seen: healthy }: Healthy): string {
  const fine = new Set<string>();
  const all = new Set<string>();
  for (const [row, was] of healthy.rows) {
    const [player = ""] = contentOf(row).split("/");
    all.add(player);
    if (troubleOf(seen.rows.get(row) ?? "silent", was) === null) fine.add(player);
  }
  return [...all].filter((player) => !fine.has(player)).join("+") || "none";
}

function cureRow(job: Job, suspects: readonly Suspect[], cure: Cure): CureRow {
  const id = stepId(cure);
  const mended = suspects.map(({ faults }) => faults.filter((fault) => isMendedBy(fault, id)).length);
  return {
    id,
    cure,
    minutes: minutesOf(workOfCure(job, cure)),
    mends: Uint8Array.from(suspects, ({ faults }, index) => (faults.length > 0 && mended[index] === faults.length ? 1 : 0)),
    mendsPart: Uint8Array.from(suspects, ({ faults }, index) => ((mended[index] ?? 0) > 0 && mended[index] !== faults.length ? 1 : 0)),
  };
}
