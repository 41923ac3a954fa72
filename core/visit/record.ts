import { z } from "zod";
import type { Command, Job } from "@/core/job";
import { Seen, type Observation } from "@/core/proof";
import { taskOf } from "./run-sheet";
import { scheduleTasks } from "./schedule";
import type { VisitStep } from "./step";

/** What became of a step: done, tried and not done, or put off to another day. */
export const STEP_STATES = ["done", "not-done", "put-off", "open"] as const;
export type StepState = (typeof STEP_STATES)[number];

/** One entry of the record of a visit. It is never changed; what is entered later counts, and two devices' entries merge by their ids. */
export const VisitEntry = z.strictObject({
  id: z.uuid(),
  step: z.string().min(1).max(200),
  /** open: an earlier entry was taken back. */
  state: z.enum(STEP_STATES),
  note: z.string().max(2000).default(""),
  /** What was seen where a row was proven; null: nothing was, or the step proves nothing. */
  sees: Seen.nullable().default(null),
  at: z.iso.datetime(),
  who: z.string().max(80).default(""),
});
export type VisitEntry = z.infer<typeof VisitEntry>;

/** So many entries of a job are kept; a visit has some hundred. */
export const MOST_ENTRIES = 5000;

/** The entry that counts for each step: the latest, and of two of one moment the one of the greater id. */
export function lastEntries(entries: readonly VisitEntry[]): ReadonlyMap<string, VisitEntry> {
  const last = new Map<string, VisitEntry>();
  for (const entry of entries) {
    const before = last.get(entry.step);
    if (!before || entry.at > before.at || (entry.at === before.at && entry.id > before.id)) last.set(entry.step, entry);
  }
  return last;
}

/** Entries of several devices as one record: each once, in the order of their moments. */
export const mergedEntries = (...records: readonly (readonly VisitEntry[])[]): readonly VisitEntry[] =>
  [...new Map(records.flat().map((entry) => [entry.id, entry])).values()].toSorted((a, b) =>
    a.at === b.at ? a.id.localeCompare(b.id) : a.at.localeCompare(b.at),
  );

/** How far a visit is. */
export interface VisitProgress {
  readonly states: ReadonlyMap<string, VisitEntry>;
  /** Steps that are still to be done, in the order of what is left. */
  readonly left: readonly VisitStep[];
  readonly minutesLeft: number;
  readonly done: number;
  /** What was done of steps that the plan no longer has. */
  readonly beyond: readonly VisitEntry[];
}

/** What is left of the steps of a visit, scheduled anew. What is done or put off no longer holds up what follows. */
export function progressOf(steps: readonly VisitStep[], entries: readonly VisitEntry[], people: 1 | 2): VisitProgress {
  const states = lastEntries(entries);
  const isOver = (id: string) => states.get(id)?.state === "done" || states.get(id)?.state === "put-off";
  const wasTried = (id: string) => states.get(id)?.state === "not-done";
  const open = steps.filter(({ id }) => !isOver(id));
  const known = new Set(steps.map(({ id }) => id));
  const schedule = scheduleTasks(
    open.map((step) => ({ ...taskOf(step), after: taskOf(step).after.filter(({ id }) => !isOver(id)) })),
    people,
  );
  const starts = new Map(schedule.tasks.map(({ id, starts: at }) => [id, at]));
  return {
    states,
    // What was tried and not done comes again when the rest is through.
    left: open.toSorted((a, b) => Number(wasTried(a.id)) - Number(wasTried(b.id)) || (starts.get(a.id) ?? 0) - (starts.get(b.id) ?? 0)),
    minutesLeft: schedule.minutes,
    done: steps.filter(({ id }) => states.get(id)?.state === "done").length,
    beyond: [...states.values()].filter(({ step, state }) => state === "done" && !known.has(step)),
  };
}

/** The edit that notes a menu as left once its step is done; null where the step is of another kind, or the job says so already. */
export function settingLeft(job: Job, { device, setting }: VisitStep): Command | null {
  const row = setting && job.devices.find(({ id }) => id === device)?.settings.find(({ key }) => key === setting.key);
  return row && device !== null && row.left !== setting.value
    ? { kind: "set-setting", device, setting: setting.key, state: "left", value: setting.value }
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
