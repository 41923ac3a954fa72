import type { Command, Job, VisitEntry } from "@/core/job";
import type { Observation } from "@/core/proof";
import { lastEntries } from "./last-entries";
import { USUAL_MINUTES, type MinutesTable } from "./minutes";
import { plugsNow } from "./plugs-now";
import { taskOf, WAITS_FOR } from "./run-sheet";
import { scheduleTasks } from "./schedule";
import type { VisitStep } from "./step";
import { readCableStepId, wayOf, type JoinedCable } from "./step-id";

/** How far a visit is. */
export interface VisitProgress {
  /** The entry that counts for each step. */
  readonly states: ReadonlyMap<string, VisitEntry>;
  /** Steps that are still to be done, in the order of what is left. */
  readonly left: readonly VisitStep[];
  readonly minutesLeft: number;
  /** The ids of the steps that are done. */
  readonly done: ReadonlySet<string>;
  /** What was done of steps that the plan no longer has. */
  readonly beyond: readonly VisitEntry[];
}

/**
 * Which steps are done: a cable by whether it is plugged by now; a menu by what is left in it, whoever set it, as far as that is noted;
 * anything else by its entry.
 */
export function doneSteps(job: Job, steps: readonly VisitStep[], record: readonly VisitEntry[]): ReadonlySet<string> {
  const [states, plugs] = [lastEntries(record), plugsNow(job, record)];
  return new Set(steps.filter((step) => isDone(job, step, { entry: states.get(step.id), plugs })).map(({ id }) => id));
}

interface Known {
  readonly entry: VisitEntry | undefined;
  readonly plugs: ReadonlyMap<string, JoinedCable>;
}

function isDone(job: Job, step: VisitStep, { entry, plugs }: Known): boolean {
  const read = readCableStepId(step.id);
  if (read) return plugs.has(wayOf(read)) === (read.act === "plug");
  if (step.setting === null) return entry?.state === "done";
  const left = leftOf(job, step)?.left ?? null;
  return left === step.setting.value || (left === null && entry?.state === "done");
}

const leftOf = (job: Job, { device, setting }: VisitStep) =>
  setting && job.devices.find(({ id }) => id === device)?.settings.find(({ key }) => key === setting.key);

export interface ProgressOptions {
  readonly table?: MinutesTable;
  /** Finished steps whose wait is not over: what waits for them comes later. */
  readonly waiting?: ReadonlySet<string>;
}

/** What is left of the steps of a visit, scheduled again. What is done or put off no longer holds up what follows. */
export function progressOf(
  job: Job,
  steps: readonly VisitStep[],
  entries: readonly VisitEntry[],
  people: 1 | 2,
  { table = USUAL_MINUTES, waiting = new Set() }: ProgressOptions = {},
): VisitProgress {
  const states = lastEntries(entries);
  const done = doneSteps(job, steps, entries);
  const over = new Set(steps.filter(({ id }) => done.has(id) || states.get(id)?.state === "put-off").map(({ id }) => id));
  /** What was tried and not done comes again when the rest is through, and so does what a wait holds up. */
  const isLater = ({ id, after }: VisitStep) =>
    states.get(id)?.state === "not-done" || after.some(({ step, because }) => waiting.has(step) && WAITS_FOR[because]);
  const open = steps.filter(({ id }) => !over.has(id));
  const known = new Set(steps.map(({ id }) => id));
  const tasks = open.map((step) => taskOf(step, table));
  const schedule = scheduleTasks(
    tasks.map((task) => ({ ...task, after: task.after.filter(({ id }) => !over.has(id)) })),
    people,
  );
  const starts = new Map(schedule.tasks.map(({ id, starts: at }) => [id, at]));
  return {
    states,
    left: open.toSorted((a, b) => Number(isLater(a)) - Number(isLater(b)) || (starts.get(a.id) ?? 0) - (starts.get(b.id) ?? 0)),
    minutesLeft: schedule.minutes,
    done,
    beyond: [...states.values()].filter(({ step, state }) => state === "done" && !known.has(step) && !isProof(step)),
  };
}

/** Checks of Prove have entries of their own beside the steps. */
const isProof = (step: string): boolean => step.startsWith("act ") || step.startsWith("speaker ");

/** The edit that notes a menu as left once its step is done; null where the step is of another kind, or the job says so already. */
export function settingLeft(job: Job, step: VisitStep): Command | null {
  const row = leftOf(job, step);
  return row && step.setting && step.device !== null && row.left !== step.setting.value
    ? { kind: "set-setting", device: step.device, setting: step.setting.key, state: "left", value: step.setting.value }
    : null;
}

/** What was seen of the rows of a job, by the entry that counts for each. */
export const observationsOf = (steps: readonly VisitStep[], entries: readonly VisitEntry[]): readonly Observation[] => {
  const last = lastEntries(entries);
  return steps.flatMap(({ id, row }): Observation[] => {
    const sees = last.get(id)?.sees ?? null;
    return row !== null && sees !== null ? [{ row, sees }] : [];
  });
};
