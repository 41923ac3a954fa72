import { present } from "@/core/outcome";
import { Board, type Work } from "./board";
import { timeBounds } from "./bounds";
import { shortSchedule, type Starts } from "./list-schedules";

/** A piece of work to put in time. */
export interface Task {
  readonly id: string;
  readonly minutes: number;
  /** After the hands are free, what follows waits so long; only what follows with `waits`. */
  readonly waitMinutes: number;
  readonly after: readonly { readonly id: string; readonly waits: boolean }[];
  readonly needs: { readonly ladder: boolean; readonly silence: boolean; readonly noise: boolean };
}

export interface TimedTask {
  readonly id: string;
  readonly starts: number;
  /** When the hands are free again. */
  readonly ends: number;
  /** From 0. */
  readonly person: number;
}

export interface Schedule {
  readonly tasks: readonly TimedTask[];
  /** Until everything is done and waited for. */
  readonly minutes: number;
  /** No shorter one exists. */
  readonly proven: boolean;
  /** By how many minutes a shorter one could be at most; 0 where proven. */
  readonly gap: number;
}

/** So many tasks are put in before the search gives the best it has. */
const MOST_PLACED = 6_000;
const NEAR = 1e-9;

/**
 * The shortest order of tasks for one or two people: a short one by many tries, and then, where it is longer than the least possible, branch
 * and bound over all orders.
 * @throws Error where the tasks follow each other in a circle, or one follows a task that is not there; derived steps never do
 */
export function scheduleTasks(given: readonly Task[], people: 1 | 2): Schedule {
  const tasks = inOrder(given);
  const works = worksOf(tasks);
  const { tails, least } = timeBounds(works, people);
  const short = shortSchedule(works, people, tails, least);
  const search = short.minutes > least + NEAR ? new Search(works, people, { tails, least, short }) : null;
  const best = search?.run() ?? short;
  const proven = best.minutes <= least + NEAR || search?.isWhole === true;
  return { tasks: withPeople(tasks, best), minutes: best.minutes, proven, gap: proven ? 0 : best.minutes - least };
}

function worksOf(tasks: readonly Task[]): readonly Work[] {
  const place = new Map(tasks.map(({ id }, index) => [id, index]));
  return tasks.map(({ minutes, waitMinutes, after, needs }) => ({
    minutes,
    waitMinutes,
    after: after.map(({ id, waits }) => {
      const task = present(place.get(id), id);
      return { task, lag: waits ? present(tasks[task], id).waitMinutes : 0 };
    }),
    ...needs,
  }));
}

/** Who does what: whoever is free, the first of them. Where never more are at work than there are people, somebody always is. */
function withPeople(tasks: readonly Task[], { starts }: Starts): readonly TimedTask[] {
  const free: number[] = [];
  return tasks
    .map(({ id, minutes }, task) => ({ id, starts: present(starts[task], id), ends: present(starts[task], id) + minutes }))
    .toSorted((a, b) => a.starts - b.starts)
    .map((row) => {
      const found = free.findIndex((until) => until <= row.starts + NEAR);
      const person = found < 0 ? free.length : found;
      free[person] = row.ends;
      return { ...row, person };
    });
}

/** The tasks so that each comes after those it follows. */
function inOrder(tasks: readonly Task[]): readonly Task[] {
  const done = new Set<string>();
  const order: Task[] = [];
  while (order.length < tasks.length) {
    const next = tasks.filter(({ id, after }) => !done.has(id) && after.every((before) => done.has(before.id)));
    if (!next.length) throw new Error("The steps follow each other in a circle.");
    for (const task of next) {
      done.add(task.id);
      order.push(task);
    }
  }
  return order;
}

/**
 * Branch and bound over the orders in which tasks are put into the earliest gap that takes them: among these schedules is a shortest one
 * (Kolisch and Hartmann 1999, serial generation scheme).
 */
class Search {
  /** Every order was looked at, or shown to be no shorter. */
  isWhole = false;
  private readonly board: Board;
  private readonly kinds: readonly string[];
  private best: Starts;
  /** Tasks put in so far, tried orders together. */
  private tried = 0;

  constructor(
    private readonly works: readonly Work[],
    people: number,
    private readonly known: { readonly tails: readonly number[]; readonly least: number; readonly short: Starts },
  ) {
    this.board = new Board(works, people);
    this.best = known.short;
    const followers = works.map((_, index) =>
      works.flatMap(({ after }, other) => (after.some(({ task }) => task === index) ? [other] : [])),
    );
    this.kinds = works.map((work, index) => JSON.stringify([work, followers[index]]));
  }

  run(): Starts {
    this.extend();
    this.isWhole = this.tried < MOST_PLACED;
    return this.best;
  }

  private isOver(): boolean {
    return this.tried >= MOST_PLACED || this.best.minutes <= this.known.least + NEAR;
  }

  private extend(): void {
    if (this.isOver()) return;
    if (this.board.rows.length === this.works.length) {
      const { minutes } = this.board;
      if (minutes < this.best.minutes - NEAR)
        this.best = { minutes, starts: this.works.map((_, task) => present(this.board.startOf(task), "start")) };
      return;
    }
    const open = this.works.flatMap((_, index) => (this.board.isReady(index) ? [index] : []));
    this.tried += open.length;
    const tail = (task: number) => present(this.known.tails[task], "tail");
    const choices = open
      .map((task) => ({ task, starts: this.board.earliest(task) }))
      .toSorted((a, b) => a.starts - b.starts || tail(b.task) - tail(a.task));
    const endOf = ({ task, starts }: (typeof choices)[number]) => starts + present(this.works[task], "work").minutes + tail(task);
    // The later it is put in, the later everything ends: in this order there is nothing better.
    if (choices.some((choice) => endOf(choice) >= this.best.minutes - NEAR)) return;
    const seen = new Set<string>();
    for (const { task, starts } of choices) {
      // Tasks that are alike in everything need not be tried in each other's place.
      const kind = present(this.kinds[task], "kind");
      if (seen.has(kind)) continue;
      seen.add(kind);
      this.board.put(task, starts);
      this.extend();
      this.board.takeBack();
      if (this.isOver()) return;
    }
  }
}
