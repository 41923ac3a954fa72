import { playOut } from "@/core/diagnose";
import type { Job } from "@/core/job";
import { groupOf, scoreOf, type Level, type PracticeRig, type StepGroup, type TakenStep } from "@/core/practice";
import {
  answerWords,
  eventWords,
  plantedSentence,
  rigStepSentence,
  scoreSentence,
  stepSentence,
  symptomWords,
  worstMomentSentences,
} from "@/core/text";

/** A rig as a trainee meets it: what the household tells, and all that can be done, with its minutes. */
export interface RigReport {
  readonly seed: number;
  readonly level: Level;
  readonly job: Job;
  readonly symptoms: readonly { readonly id: string; readonly says: string }[];
  readonly checks: readonly { readonly id: string; readonly says: string; readonly minutes: number; readonly group: StepGroup }[];
}

export function rigReport({ seed, level, finder, symptoms }: PracticeRig): RigReport {
  const { job, household } = finder.healthy;
  const event = (name: string) => eventWords(household, name);
  return {
    seed,
    level,
    job,
    symptoms: finder.singles.symptoms
      .filter(({ id }) => symptoms.includes(id))
      .map((symptom) => ({ id: symptom.id, says: symptomWords(job, symptom, event) })),
    checks: [
      ...finder.singles.looks.map(({ id, look, minutes }) => ({ id, says: stepSentence(job, look, event), minutes, group: groupOf(look) })),
      ...finder.singles.cures.map(({ id, cure, minutes }) => ({ id, says: stepSentence(job, cure, event), minutes, group: groupOf(cure) })),
    ],
  };
}

/** What a step showed, in words. */
export function takenWords({ finder }: PracticeRig, { check, answer }: TakenStep): string {
  const { job } = finder.healthy;
  const look = finder.singles.looks.find(({ id }) => id === check);
  const cure = finder.singles.cures.find(({ id }) => id === check);
  const step = look?.look ?? cure?.cure;
  return step ? answerWords(job, step, answer) : answer;
}

/** How a trainee did, in figures and sentences. */
export interface ScoreReport {
  readonly minutes: number;
  readonly bestMinutes: number;
  readonly points: number;
  readonly says: string;
  /** What was wrong. */
  readonly fault: string;
  readonly worst: readonly string[];
  readonly bestLine: readonly { readonly says: string; readonly answer: string; readonly minutes: number }[];
}

export function scoreReport(rig: PracticeRig, line: readonly TakenStep[]): ScoreReport {
  const score = scoreOf(rig, line);
  return {
    minutes: score.minutes,
    bestMinutes: score.bestMinutes,
    points: score.points,
    says: scoreSentence(score),
    fault: plantedSentence(rig),
    worst: worstMomentSentences(rig, score),
    bestLine: score.bestLine.map((step) => ({
      says: rigStepSentence(rig, step.check),
      answer: takenWords(rig, step),
      minutes: step.minutes,
    })),
  };
}

/** A rig for programs, with what is wrong in it and the line that the search takes. */
export function practiceReport(rig: PracticeRig) {
  const [fault] = rig.planted.faults;
  const best =
    fault && rig.planted.faults.length === 1 ? playOut(rig.finder, fault, { seed: rig.seed, symptom: rig.symptoms[0] ?? "" }) : null;
  return {
    ...rigReport(rig),
    faults: rig.planted.faults.map(({ id }) => id),
    best: best ? { line: best.line, minutes: best.minutes } : null,
  };
}
