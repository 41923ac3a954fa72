import type { Content, Device, SettingState, Source } from "@/core/device";
import { chosenSoundSystem, type Job } from "@/core/job";
import type { Arrival } from "./arrival";
import { arrivalsOfContent, type Told } from "./arrivals-of-content";
import { changedQuestions } from "./changed-questions";
import type { Question, ReadSet } from "./read-set";
import { makeRig, type Rig } from "./rig";

/** The rows of one player's one content, and every question their answer rests on. */
export interface SolvedUnit {
  readonly key: string;
  readonly rows: readonly Arrival[];
  readonly asked: ReadSet;
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

/** What is asked of the rows that an edit changes. */
export interface Asked {
  /** How much the rows tell; left out: everything. */
  readonly told?: Told;
  /** Whether the rows of a content are wanted, as "device/source/content"; others are left out. Undefined: all are. */
  readonly of?: (unit: string) => boolean;
}

/**
 * Solves a job again after an edit, keeping every row none of whose questions has another answer now.
 * Equal to `solve` by construction: a row is a function of the answers to its questions.
 */
export function solveAgain(before: Solved, job: Job, asked: Asked = {}): Solved {
  if (chosenSoundSystem(before.job)?.id !== chosenSoundSystem(job)?.id || wishesDiffer(before.job, job))
    return solveWith(job, before.state, new Map(), asked);
  const changed = changedQuestions(before.job, job, before.state);
  const kept = new Map(before.units.filter((unit) => !meets(unit.asked.questions, changed)).map((unit) => [unit.key, unit]));
  return solveWith(job, before.state, kept, asked);
}

/** Whether the brief asks something else of the rows themselves. */
const wishesDiffer = ({ brief: a }: Job, { brief: b }: Job): boolean =>
  a.newsFrom !== b.newsFrom || a.clearSpeech !== b.clearSpeech || a.remotes !== b.remotes;

function meets(asked: ReadonlySet<Question>, changed: ReadonlySet<Question>): boolean {
  for (const question of changed) if (asked.has(question)) return true;
  return false;
}

/** What arrives of one player alone, without why not more: enough to weigh a room by. With it every question that all of it rests on. */
export function arrivalsOnly(
  job: Job,
  state: SettingState,
  player: string,
): { readonly rows: readonly Arrival[]; readonly asked: ReadonlySet<Question> } {
  const rig = makeRig(job, state);
  const system = chosenSoundSystem(job);
  const { answer, asked } = rig.traced(() => {
    rig.device(player);
    if (system) rig.device(system.id);
    return contentsOf(job.devices.filter(({ id }) => id === player)).flatMap(({ device, source, content }) =>
      arrivalsOfContent(rig, rig.device(device.id) ?? device, source, content, system, "arrivals-only"),
    );
  });
  return { rows: answer, asked: asked.questions };
}

function solveWith(job: Job, state: SettingState, kept: ReadonlyMap<string, SolvedUnit>, { told = "all", of }: Asked = {}): Solved {
  const rig = makeRig(job, state);
  const system = chosenSoundSystem(job);
  const units = contentsOf(job.devices).flatMap(({ device, source, content }): SolvedUnit[] => {
    const key = unitKey(device, source, content);
    const known = kept.get(key);
    if (!known && of && !of(key)) return [];
    return [known ?? solveUnit(rig, { device, source, content, system, told })];
  });
  return { job, state, units, rows: units.flatMap(({ rows }) => rows) };
}

const contentsOf = (devices: readonly Device[]) =>
  devices.flatMap((device) => device.sources.flatMap((source) => source.contents.map((content) => ({ device, source, content }))));

const unitKey = (device: Device, source: Source, content: Content): string => `${device.id}/${source.id}/${content.id}`;

interface Unit {
  readonly device: Device;
  readonly source: Source;
  readonly content: Content;
  readonly system: Device | undefined;
  readonly told: Told;
}

function solveUnit(rig: Rig, { device, source, content, system, told }: Unit): SolvedUnit {
  const { answer, asked } = rig.traced(() => {
    if (system) rig.device(system.id);
    return arrivalsOfContent(rig, rig.device(device.id) ?? device, source, content, system, told);
  });
  return { key: unitKey(device, source, content), rows: answer, asked };
}
