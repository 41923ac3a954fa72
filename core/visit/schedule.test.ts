import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { anyJob, anyRoom } from "@/demo/any-room-under-test";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { runSheet, scheduleTasks, type Task, type TimedStep } from "@/core/visit";

const NO_NEEDS = { ladder: false, silence: false, noise: false };
const task = (id: string, minutes: number, rest: Partial<Task> = {}): Task => ({
  id,
  minutes,
  waitMinutes: 0,
  after: [],
  needs: NO_NEEDS,
  ...rest,
});
const waits = (id: string) => ({ id, waits: true });

/** Whether start times keep every rule; written without anything of the search. */
function keeps(tasks: readonly Task[], starts: readonly number[], people: number): boolean {
  const startOf = new Map(tasks.map(({ id }, index) => [id, starts[index] ?? 0]));
  for (const one of tasks)
    for (const { id, waits: isWaited } of one.after) {
      const other = tasks.find((row) => row.id === id);
      if (!other || (startOf.get(one.id) ?? 0) < (startOf.get(id) ?? 0) + other.minutes + (isWaited ? other.waitMinutes : 0)) return false;
    }
  const end = Math.max(...tasks.map(({ minutes }, index) => (starts[index] ?? 0) + minutes));
  for (let minute = 0; minute < end; minute += 1) {
    const busy = tasks.filter(({ minutes }, index) => (starts[index] ?? 0) <= minute && minute < (starts[index] ?? 0) + minutes);
    const count = (need: keyof Task["needs"]) => busy.filter(({ needs }) => needs[need]).length;
    if (busy.length > people || count("ladder") > 1 || count("silence") > 1 || (count("silence") > 0 && count("noise") > 0)) return false;
  }
  return true;
}

/** The shortest time of all start times in whole minutes, by trying every one. */
function shortest(tasks: readonly Task[], people: number): number {
  const horizon = tasks.reduce((sum, { minutes, waitMinutes }) => sum + minutes + waitMinutes, 0);
  let best = horizon;
  const tryAll = (starts: readonly number[]): void => {
    if (starts.length === tasks.length) {
      const end = Math.max(...tasks.map(({ minutes, waitMinutes }, index) => (starts[index] ?? 0) + minutes + waitMinutes));
      if (end < best && keeps(tasks, starts, people)) best = end;
      return;
    }
    const { minutes = 0, waitMinutes = 0 } = tasks[starts.length] ?? {};
    for (let at = 0; at + minutes + waitMinutes < best; at += 1) tryAll([...starts, at]);
  };
  tryAll([]);
  return best;
}

const smallGraph = fc
  .array(
    fc.record({
      minutes: fc.integer({ min: 1, max: 3 }),
      wait: fc.integer({ min: 0, max: 2 }),
      links: fc.array(fc.nat(3), { maxLength: 2 }),
      waited: fc.boolean(),
      need: fc.constantFrom("ladder", "silence", "noise", "none"),
    }),
    { minLength: 2, maxLength: 4 },
  )
  .map((rows): readonly Task[] =>
    rows.map(({ minutes, wait, links, waited, need }, index) => ({
      id: `t${index}`,
      minutes,
      waitMinutes: wait,
      after: [...new Set(links.filter((link) => link < index))].map((link) => ({ id: `t${link}`, waits: waited })),
      needs: { ...NO_NEEDS, ...(need === "none" ? {} : { [need]: true }) },
    })),
  );

describe("the schedule of a visit", () => {
  test.each([1, 2] as const)("for %i is as short as the best of every set of start times", (people) => {
    fc.assert(
      fc.property(smallGraph, (tasks) => {
        const found = scheduleTasks(tasks, people);
        expect(found.proven).toBe(true);
        expect(found.minutes).toBe(shortest(tasks, people));
        expect(
          keeps(
            tasks,
            tasks.map(({ id }) => found.tasks.find((row) => row.id === id)?.starts ?? NaN),
            people,
          ),
        ).toBe(true);
      }),
      { numRuns: 120, seed: 26 },
    );
  });

  test("work goes on while an update runs: 2 + 10 of waiting take in 6 of other work", () => {
    const tasks = [task("firmware", 2, { waitMinutes: 10 }), task("labels", 6), task("pair", 2, { after: [waits("firmware")] })];
    expect(scheduleTasks(tasks, 1)).toMatchObject({ minutes: 14, proven: true });
  });

  test("nobody drills while somebody listens, and two ladders are never up at once", () => {
    const drill = task("drill", 5, { needs: { ...NO_NEEDS, noise: true } });
    const listen = task("listen", 5, { needs: { ...NO_NEEDS, silence: true } });
    expect(scheduleTasks([drill, listen], 2).minutes).toBe(10);
    const ladder = (id: string) => task(id, 4, { needs: { ...NO_NEEDS, ladder: true } });
    expect(scheduleTasks([ladder("a"), ladder("b")], 2).minutes).toBe(8);
    expect(scheduleTasks([task("a", 4), task("b", 4)], 2).minutes).toBe(4);
  });

  test("a circle is an error of the program and not a plan", () => {
    expect(() => scheduleTasks([task("a", 1, { after: [waits("b")] }), task("b", 1, { after: [waits("a")] })], 1)).toThrow("circle");
  });

  test.each(demoJobNames())(
    "of %s adds up: each step begins when what comes before it is done and waited for, and the last one ends it",
    (name) => {
      for (const people of [1, 2] as const) {
        const { steps, minutes } = runSheet(demoJob(name), people);
        const last = Math.max(...steps.map(({ ends, waitMinutes }) => ends + waitMinutes));
        expect(minutes).toBe(last);
        for (const step of steps) {
          expect(step.ends - step.starts).toBeCloseTo(step.minutes, 9);
          for (const { step: id } of step.after)
            expect(step.starts).toBeGreaterThanOrEqual((steps.find((row) => row.id === id)?.ends ?? NaN) - 1e-9);
        }
        const hands = steps.reduce((sum, step) => sum + step.minutes, 0);
        expect(minutes * people).toBeGreaterThanOrEqual(hands - 1e-9);
      }
    },
  );
});

describe("the schedule of a whole visit", () => {
  /** Everybody's steps in quarters of a minute, checked by rules that were written apart from the search. */
  const asTasks = (steps: readonly TimedStep[]): { readonly tasks: readonly Task[]; readonly starts: readonly number[] } => ({
    tasks: steps.map(({ id, minutes, needs, after }) => ({
      id,
      minutes: Math.round(minutes * 4),
      waitMinutes: 0,
      after: after.map(({ step }) => ({ id: step, waits: false })),
      needs,
    })),
    starts: steps.map(({ starts }) => Math.round(starts * 4)),
  });

  test("keeps every rule for one person and for two, and two are never slower", () => {
    const jobs = [
      ...demoJobNames().map((name) => demoJob(name)),
      ...fc.sample(anyRoom, { numRuns: 15, seed: 5 }).map((room) => {
        const job = anyJob(room);
        return { ...job, cables: job.cables.map((cable) => ({ ...cable, supply: "buy" as const })) };
      }),
    ];
    for (const job of jobs) {
      const [one, two] = ([1, 2] as const).map((people) => {
        const sheet = runSheet(job, people);
        const { tasks, starts } = asTasks(sheet.steps);
        expect(keeps(tasks, starts, people), job.name).toBe(true);
        return sheet.minutes;
      });
      expect(two).toBeLessThanOrEqual(one ?? 0);
    }
  });
});
