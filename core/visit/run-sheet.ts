import type { Job, VisitEntry } from "@/core/job";
import { visitSteps } from "./derive-steps";
import { minutesOf, USUAL_MINUTES, waitOf, type MinutesTable } from "./minutes";
import { scheduleTasks, type Task, type TimedTask } from "./schedule";
import type { OrderReason, VisitStep } from "./step";

/** A step with its place in the visit. */
export interface TimedStep extends VisitStep, Pick<TimedTask, "starts" | "ends" | "person"> {
  readonly minutes: number;
  readonly waitMinutes: number;
}

export interface RunSheet {
  readonly people: 1 | 2;
  readonly minutes: number;
  readonly proven: boolean;
  readonly gap: number;
  /** In the order in which they begin. */
  readonly steps: readonly TimedStep[];
}

/** Whether what follows for a reason must also wait until the step has taken effect: a device that wakes, an update that runs. */
export const WAITS_FOR: Readonly<Record<OrderReason, boolean>> = {
  "pictures-first": false,
  "off-before-plugs": false,
  "free-the-socket": false,
  "unplugged-before-moved": false,
  "in-place-before-plugs": false,
  "pulled-before-plugged": false,
  "plugged-before-labelled": false,
  "pattern-first": false,
  "put-there": false,
  "module-before-its-socket": false,
  "plugged-before-power": false,
  "order-of-power": false,
  "update-needs-power": true,
  "update-forgets-pairings": true,
  "module-before-pairing": true,
  "one-unit-at-a-time": true,
  "in-place-before-pairing": true,
  "confirm-at-the-end": true,
  "menus-need-power": true,
  "calibrate-when-all-stands": true,
  "calibration-overwrites": true,
  "tones-after-dials": true,
  "prove-what-is-finished": true,
  "labels-before-leaving": false,
  "proof-before-handover": true,
  "finish-first": true,
};

/** A step as the schedule sees it. */
export const taskOf = (step: VisitStep, table: MinutesTable): Task => ({
  id: step.id,
  minutes: minutesOf(step, table),
  waitMinutes: waitOf(step, table),
  after: step.after.map(({ step: id, because }) => ({ id, waits: WAITS_FOR[because] })),
  needs: step.needs,
});

/** The run sheet of a job for one or two people, with the minutes that count for the firm. */
export function runSheet(job: Job, people: 1 | 2, table: MinutesTable = USUAL_MINUTES, record: readonly VisitEntry[] = []): RunSheet {
  const steps = visitSteps(job, record);
  const schedule = scheduleTasks(
    steps.map((step) => taskOf(step, table)),
    people,
  );
  const times = new Map(schedule.tasks.map((task) => [task.id, task]));
  const timed = steps.flatMap((step): TimedStep[] => {
    const at = times.get(step.id);
    return at
      ? [
          {
            ...step,
            starts: at.starts,
            ends: at.ends,
            person: at.person,
            minutes: minutesOf(step, table),
            waitMinutes: waitOf(step, table),
          },
        ]
      : [];
  });
  return {
    people,
    minutes: schedule.minutes,
    proven: schedule.proven,
    gap: schedule.gap,
    steps: timed.toSorted((a, b) => a.starts - b.starts || a.person - b.person),
  };
}
