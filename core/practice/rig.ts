import {
  answerOf,
  finderOf,
  generator,
  isMendedBy,
  minutesIfTaken,
  playPair,
  playOut,
  rigWith,
  standOf,
  symptomsOf,
  type CureRow,
  type Draw,
  type Fault,
  type Finder,
  type LookRow,
  type Observed,
  type Suspect,
} from "@/core/diagnose";
import type { Job } from "@/core/job";
import { LEVEL_FACTS, type Level } from "./levels";
import { madeUpRoom } from "./made-up-room";

/** A room with something wrong in it, that answers what a person does. The same seed gives the same rig. */
export interface PracticeRig {
  readonly seed: number;
  readonly level: Level;
  readonly job: Job;
  readonly finder: Finder;
  readonly planted: Suspect;
  /** What the household tells. */
  readonly symptoms: readonly string[];
  readonly draw: Draw;
}

/** Of mixed rigs so many in ten have two faults. */
const TWO_IN_TEN = 0.2;
/** How often another room is made up when one can have no fault of its level. */
const MOST_ROOMS = 20;

/**
 * The rig of a seed, in a made-up room or in a job.
 * @returns null where the job can have no fault of that level
 */
export function practiceRig(seed: number, level: Level, given: Job | null = null): PracticeRig | null {
  const draw = generator(seed);
  for (let round = 0; round < (given ? 1 : MOST_ROOMS); round += 1) {
    const job = given ?? madeUpRoom(draw, level);
    const finder = finderOf(job);
    const { kinds } = LEVEL_FACTS[level];
    const fitting = finder.played.map(({ fault }) => fault).filter(({ kind }) => kinds === null || kinds.includes(kind));
    const first = fitting[Math.floor(draw() * fitting.length)];
    if (!first) continue;
    const second = level === "mixed" && draw() < TWO_IN_TEN ? fitting[Math.floor(draw() * fitting.length)] : undefined;
    const planted = (second && second.id !== first.id && twoFaults(finder, first, second)) || rigWith(finder, first);
    const told = planted ? symptomsOf(planted.seen, finder.healthy.seen).map(({ id }) => id) : [];
    const known = told.filter((id) => finder.singles.symptoms.some((symptom) => symptom.id === id));
    const [broadest] = known;
    if (planted && broadest) return { seed, level, job, finder, planted, symptoms: [broadest], draw };
  }
  return null;
}

function twoFaults({ healthy }: Finder, a: Fault, b: Fault): Suspect | null {
  const seen = playPair(healthy, a, b);
  return seen ? { id: `${a.id}+${b.id}`, faults: [a, b], seen } : null;
}

/** A step that a trainee took. */
export interface TakenStep extends Observed {
  readonly minutes: number;
}

/** What the rig answers to a step; null for one that it does not have. */
export function takeStep(rig: PracticeRig, check: string, taken: readonly Observed[]): TakenStep | null {
  const { finder, draw } = rig;
  const row = rowOf(finder, check);
  if (!row) return null;
  const answer = answerOf(finder, leftOf(rig, taken), row, draw, 0);
  return { check, answer, minutes: row.minutes };
}

const rowOf = ({ singles }: Finder, check: string): LookRow | CureRow | undefined =>
  singles.looks.find(({ id }) => id === check) ?? singles.cures.find(({ id }) => id === check);

/** What is still wrong after the cures that were made: of two faults the one that was mended is gone. */
function leftOf({ finder, planted }: PracticeRig, taken: readonly Observed[]): Suspect {
  const done = new Set(taken.filter(({ answer }) => answer === "changed-nothing").map(({ check }) => check));
  const left = planted.faults.filter((fault) => ![...done].some((cure) => isMendedBy(fault, cure)));
  const [only] = left;
  return left.length === 1 && planted.faults.length > 1 && only ? (rigWith(finder, only) ?? planted) : planted;
}

/** The step that cost a trainee most, with what would have been better. */
export interface WorstMoment {
  /** Which step of the line, from nought. */
  readonly at: number;
  readonly lostMinutes: number;
  readonly took: string;
  readonly better: string;
  /** What was known then, for the explanation. */
  readonly before: readonly Observed[];
}

export interface Score {
  readonly minutes: number;
  /** What the search itself needs on the same rig. */
  readonly bestMinutes: number;
  readonly lostMinutes: number;
  /** From 0 to 100: a hundred for as quick as the search, or quicker. */
  readonly points: number;
  readonly worst: WorstMoment | null;
  readonly bestLine: readonly TakenStep[];
}

/** How a line of checks compares with the best: in minutes, and by the one moment that lost most on average. */
export function scoreOf(rig: PracticeRig, line: readonly TakenStep[]): Score {
  const { finder, symptoms } = rig;
  const minutes = line.reduce((sum, step) => sum + step.minutes, 0);
  const best = bestLineOf(rig);
  const bestMinutes = best.reduce((sum, step) => sum + step.minutes, 0);
  let worst: WorstMoment | null = null;
  for (const [at, { check }] of line.entries()) {
    const before = line.slice(0, at).map(({ check: asked, answer }) => ({ check: asked, answer }));
    const stand = standOf(finder, symptoms, before);
    if (!stand.ok || !stand.value.next) continue;
    const { given, belief, next } = stand.value;
    const lostMinutes = minutesIfTaken(given, belief, check) - minutesIfTaken(given, belief, next.row.id);
    if (next.row.id !== check && lostMinutes > (worst?.lostMinutes ?? NOTICEABLE))
      worst = { at, lostMinutes, took: check, better: next.row.id, before };
  }
  const lostMinutes = Math.max(0, minutes - bestMinutes);
  return {
    minutes,
    bestMinutes,
    lostMinutes,
    points: Math.round((100 * bestMinutes) / Math.max(bestMinutes, minutes, 0.25)),
    worst,
    bestLine: best,
  };
}

/** Less than half a minute is not worth a word. */
const NOTICEABLE = 0.5;

function bestLineOf(rig: PracticeRig): readonly TakenStep[] {
  const { finder, planted, symptoms } = rig;
  const [fault] = planted.faults;
  if (planted.faults.length === 1 && fault) return playOut(finder, fault, { seed: rig.seed, symptom: symptoms[0] ?? "" }).line;
  const line: TakenStep[] = [];
  while (line.length < MOST_STEPS) {
    const stand = standOf(
      finder,
      symptoms,
      line.map(({ check, answer }) => ({ check, answer })),
    );
    const next = stand.ok ? stand.value.next?.row : undefined;
    const step = next && takeStep({ ...rig, draw: generator(rig.seed) }, next.id, line);
    if (!step) break;
    line.push(step);
    if (step.answer === "mended") break;
  }
  return line;
}
const MOST_STEPS = 60;
