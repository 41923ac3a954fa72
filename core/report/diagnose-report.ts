import {
  chanceOfSymptom,
  CURE_ANSWERS,
  isCure,
  NOT_KNOWN,
  OTHER,
  pasteableOf,
  priorsOf,
  standOf,
  stepId,
  type CureRow,
  type Fault,
  type Finder,
  type LookRow,
  type Observed,
  type ObservedTrouble,
  type Pasteable,
  type Stand,
} from "@/core/diagnose";
import { FINDING_MINUTES } from "@/core/facts";
import type { Job } from "@/core/job";
import { done, type Outcome } from "@/core/outcome";
import {
  answerWords,
  curePrice,
  cureSentence,
  disturbsSentence,
  eventWords,
  faultSentence,
  stepDanger,
  stepSentence,
  suspectSentence,
  symptomWords,
  whySentence,
} from "@/core/text";

/** Where a fault is, for programs: only what it has. */
interface PlaceReport {
  readonly device?: string;
  readonly cable?: string;
  readonly port?: string;
  readonly setting?: string;
  readonly unit?: string;
}

export interface CureReport {
  readonly says: string;
  readonly minutes: number;
  readonly price?: string;
}

export interface FaultReport {
  readonly id: string;
  readonly kind: string;
  readonly at: PlaceReport;
  readonly prior: number;
  readonly says: string;
  readonly cure: CureReport | null;
}

/** Every fault that a job can have, with how likely it is before anything was asked. */
export function faultsReport(finder: Finder): { readonly faults: readonly FaultReport[] } {
  const { job } = finder.healthy;
  const faults = finder.played.map(({ fault }) => fault);
  const priors = priorsOf(faults, finder.firm);
  return {
    faults: faults.map((fault, index) => ({
      id: fault.id,
      kind: fault.kind,
      at: placeOf(job, fault),
      prior: priors[index] ?? 0,
      says: faultSentence(job, fault),
      cure: cureOf(finder, fault),
    })),
  };
}

function placeOf(job: Job, { at }: Fault): PlaceReport {
  const [player] = (at.row ?? "").split("/");
  const end = at.side && job.cables.find(({ id }) => id === at.cable)?.[at.side];
  const device = at.device ?? end?.device ?? (player || undefined);
  const port = at.port ?? end?.port;
  return {
    ...(device === undefined ? {} : { device }),
    ...(at.cable === undefined ? {} : { cable: at.cable }),
    ...(port === undefined ? {} : { port }),
    ...(at.setting === undefined ? {} : { setting: at.setting }),
    ...(at.unit === undefined ? {} : { unit: at.unit }),
  };
}

/** The quickest of what mends a fault. */
function cureOf({ healthy, singles }: Finder, { cures }: Fault): CureReport | null {
  const rows = cures.flatMap((cure) => singles.cures.find(({ id }) => id === stepId(cure)) ?? []);
  const [best] = rows.toSorted((a, b) => a.minutes - b.minutes);
  return best ? cureReport(healthy.job, best) : null;
}

function cureReport(job: Job, { cure, minutes }: CureRow): CureReport {
  const price = curePrice(job, cure);
  return { says: cureSentence(job, cure), minutes, ...(price ? { price } : {}) };
}

export interface NextReport {
  readonly check: string;
  readonly says: string;
  readonly why: string;
  readonly minutes: number;
  /** What it disturbs, and what to set back. */
  readonly disturbs?: string;
  readonly caution?: string;
  /** What may be pasted in place of an answer. */
  readonly pastes?: Pasteable;
  readonly answers: readonly { readonly answer: string; readonly says: string; readonly probability: number }[];
}

export interface SuspectReport {
  readonly fault: string;
  readonly probability: number;
  readonly says: string;
  /** The devices and leads that it is at. */
  readonly at: readonly PlaceReport[];
}

export interface DiagnoseReport {
  readonly suspects: readonly SuspectReport[];
  readonly next: NextReport | null;
  /** `mends`: the suspects that it puts right, the likeliest first. */
  readonly cure: (CureReport & { readonly fault: string; readonly mends: readonly string[] }) | null;
  readonly expectedMinutes: number;
  readonly unexplained: boolean;
}

/** Where a search stands: who is suspected, what to do next, and the cure where trying it is the next thing or has helped. */
export function diagnoseReport(
  finder: Finder,
  symptoms: readonly string[],
  observed: readonly Observed[],
): Outcome<DiagnoseReport, ObservedTrouble> {
  const stand = standOf(finder, symptoms, observed);
  if (!stand.ok) return stand;
  const { given, belief, next, mendedBy, isUnexplained } = stand.value;
  const { job } = finder.healthy;
  const suspects = given.suspects
    .map((suspect, index) => ({
      fault: suspect.id,
      probability: belief[index] ?? 0,
      says: suspectSentence(job, suspect),
      at: suspect.faults.map((one) => placeOf(job, one)),
    }))
    .toSorted((a, b) => b.probability - a.probability);
  const cure = mendedBy ?? (next && isCure(next.row) ? next.row : null);
  const place = new Map(given.suspects.map(({ id }, index) => [id, index]));
  const mends = cure ? suspects.flatMap(({ fault }) => (cure.mends[place.get(fault) ?? -1] === 1 ? [fault] : [])) : [];
  const [fault] = mends;
  return done({
    suspects,
    next: next ? nextReport(stand.value, next.row, finder) : null,
    cure: cure && fault !== undefined ? { fault, mends, ...cureReport(job, cure) } : null,
    expectedMinutes: mendedBy ? 0 : (next?.expectedMinutes ?? FINDING_MINUTES["give-up"]),
    unexplained: isUnexplained,
  });
}

function nextReport(stand: Stand, row: LookRow | CureRow, { healthy: { job, household } }: Finder): NextReport {
  const step = isCure(row) ? row.cure : row.look;
  const event = (name: string) => eventWords(household, name);
  const disturbs = disturbsSentence(step);
  const caution = stepDanger(job, step);
  const pastes = isCure(row) ? null : pasteableOf(row);
  return {
    check: row.id,
    says: stepSentence(job, step, event),
    why: whySentence(job, stand),
    minutes: row.minutes,
    ...(disturbs ? { disturbs } : {}),
    ...(caution ? { caution } : {}),
    ...(pastes ? { pastes } : {}),
    answers: answerChances(stand, row).map(({ answer, probability }) => ({ answer, probability, says: answerWords(job, step, answer) })),
  };
}

/** How likely each answer to a step is, the likeliest first, and after them those that are always open. */
export function answerChances(
  { belief }: Pick<Stand, "belief">,
  row: LookRow | CureRow,
): readonly { readonly answer: string; readonly probability: number }[] {
  if (isCure(row)) {
    const share = (mends: Uint8Array) => belief.reduce((sum, one, index) => (mends[index] ? sum + one : sum), 0);
    const [whole, part] = [share(row.mends), share(row.mendsPart)];
    const chances = [whole, Math.max(0, 1 - whole - part), part];
    return [
      ...CURE_ANSWERS.map((answer, index) => ({ answer: answer as string, probability: chances[index] ?? 0 })),
      { answer: NOT_KNOWN, probability: 0 },
    ];
  }
  const known = row.answers.map((answer, which) => ({
    answer,
    probability: belief.reduce((sum, one, index) => sum + one * (row.likelihood[index]?.[which] ?? 0), 0),
  }));
  return [
    ...known.toSorted((a, b) => b.probability - a.probability),
    ...(row.look.does === "ask" ? [] : [{ answer: OTHER, probability: 0 }]),
    { answer: NOT_KNOWN, probability: 0 },
  ];
}

/** All complaints that this job can give rise to. */
export function symptomsReport({ healthy, singles }: Finder) {
  const event = (name: string) => eventWords(healthy.household, name);
  // What is missed first: sound or picture of everything or of a player, then the remotes and speakers, then single contents; of each the commonest.
  const rank = { all: 0, player: 0, act: 1, speaker: 1, row: 2 } as const;
  const chance = new Map(singles.symptoms.map((symptom) => [symptom.id, chanceOfSymptom(singles, symptom)]));
  const sorted = singles.symptoms.toSorted((a, b) => rank[a.of] - rank[b.of] || (chance.get(b.id) ?? 0) - (chance.get(a.id) ?? 0));
  return { symptoms: sorted.map((symptom) => ({ id: symptom.id, says: symptomWords(healthy.job, symptom, event) })) };
}

const answersOf = (row: LookRow | CureRow): readonly string[] =>
  isCure(row) ? [...CURE_ANSWERS, NOT_KNOWN] : [...row.answers, ...(row.look.does === "ask" ? [] : [OTHER]), NOT_KNOWN];

/** All checks of this job, each with its answers and its minutes. */
export function checksReport({ healthy, singles }: Finder) {
  const event = (name: string) => eventWords(healthy.household, name);
  return {
    checks: [...singles.looks, ...singles.cures].map((row) => {
      const step = isCure(row) ? row.cure : row.look;
      return {
        id: row.id,
        says: stepSentence(healthy.job, step, event),
        minutes: row.minutes,
        answers: answersOf(row).map((answer) => ({ answer, says: answerWords(healthy.job, step, answer) })),
      };
    }),
  };
}
