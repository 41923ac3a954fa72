import type { Content, Device, SettingState, Source } from "@/core/device";
import { chosenSoundSystem, type Job } from "@/core/job";
import type { Arrival } from "./arrival";
import { arrivalsOfContent } from "./arrivals-of-content";
import { changedQuestions } from "./changed-questions";
import { deviceQuestion, makeRig, type Question } from "./rig";

/** The rows of one player's one content, and every question their answer rests on. */
export interface SolvedUnit {
  readonly key: string;
  readonly rows: readonly Arrival[];
  readonly asked: ReadonlySet<Question>;
}

/** A solved job: its board, and what is needed to solve it again quickly after an edit. */
export interface Solved {
  readonly job: Job;
  readonly state: SettingState;
  readonly units: readonly SolvedUnit[];
  readonly rows: readonly Arrival[];
}

/** Solves a job from scratch. */
export const solve = (job: Job, state: SettingState): Solved => solveWith(job, state, new Map());

/**
 * Solves a job anew after an edit, keeping every row none of whose questions has another answer now.
 * Equal to `solve` by construction: a row is a function of the answers to its questions.
 */
export function solveAgain(before: Solved, job: Job): Solved {
  if (chosenSoundSystem(before.job)?.id !== chosenSoundSystem(job)?.id || wishesDiffer(before.job, job)) return solve(job, before.state);
  const changed = changedQuestions(before.job, job, before.state);
  const kept = new Map(before.units.filter(({ asked }) => !meets(asked, changed)).map((unit) => [unit.key, unit]));
  return solveWith(job, before.state, kept);
}

/** Whether the brief asks something else of the rows themselves. */
const wishesDiffer = ({ brief: a }: Job, { brief: b }: Job): boolean =>
  a.newsFrom !== b.newsFrom || a.clearSpeech !== b.clearSpeech || a.remotes !== b.remotes;

function meets(asked: ReadonlySet<Question>, changed: ReadonlySet<Question>): boolean {
  for (const question of changed) if (asked.has(question)) return true;
  return false;
}

function solveWith(job: Job, state: SettingState, kept: ReadonlyMap<string, SolvedUnit>): Solved {
  const rig = makeRig(job, state);
  const system = chosenSoundSystem(job);
  const solveUnit = (device: Device, source: Source, content: Content): SolvedUnit => {
    const key = `${device.id}/${source.id}/${content.id}`;
    const known = kept.get(key);
    if (known) return known;
    const { answer, asked } = rig.traced(() => arrivalsOfContent(rig, device, source, content, system));
    return { key, rows: answer, asked: new Set([...asked, deviceQuestion(device.id), ...(system ? [deviceQuestion(system.id)] : [])]) };
  };
  const units = job.devices.flatMap((device) =>
    device.sources.flatMap((source) => source.contents.map((content) => solveUnit(device, source, content))),
  );
  return { job, state, units, rows: units.flatMap(({ rows }) => rows) };
}
