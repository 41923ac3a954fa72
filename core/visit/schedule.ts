import { present } from "@/core/outcome";
import { timeBounds, type BoundTask } from "./bounds";

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
const MOST_PLACED = 20_000;
const NEAR = 1e-9;

/** @throws Error where the tasks follow each other in a circle, or one follows a task that is not there; derived steps never do. */
export const scheduleTasks = (tasks: readonly Task[], people: 1 | 2): Schedule => new Search(inOrder(tasks), people).run();

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

interface Placed {
  readonly task: number;
  readonly starts: number;
  readonly ends: number;
  readonly person: number;
}

/**
 * Branch and bound over the orders in which tasks are put into the earliest gap that takes them: among these schedules is a shortest one
 * (Kolisch and Hartmann 1999, serial generation scheme).
 */
class Search {
  private readonly edges: readonly BoundTask[];
  private readonly tails: readonly number[];
  private readonly least: number;
  private readonly kinds: readonly string[];
  private readonly placed: Placed[] = [];
  private readonly at: (Placed | undefined)[];
  private best: { readonly placed: readonly Placed[]; readonly minutes: number } | null = null;
  /** Tasks put in so far, tried orders together. */
  private tried = 0;

  constructor(
    private readonly tasks: readonly Task[],
    private readonly people: number,
  ) {
    const place = new Map(tasks.map(({ id }, index) => [id, index]));
    this.edges = tasks.map(({ minutes, waitMinutes, after, needs }) => ({
      minutes,
      waitMinutes,
      after: after.map(({ id, waits }) => {
        const task = present(place.get(id), id);
        return { task, lag: waits ? present(tasks[task], id).waitMinutes : 0 };
      }),
      silence: needs.silence,
      ladder: needs.ladder,
    }));
    const { tails, least } = timeBounds(this.edges, people);
    this.tails = tails;
    this.least = least;
    this.at = tasks.map(() => undefined);
    const followers = tasks.map((_, index) =>
      this.edges.flatMap(({ after }, other) => (after.some(({ task }) => task === index) ? [other] : [])),
    );
    this.kinds = this.edges.map((task, index) => JSON.stringify([task, followers[index], this.tasks[index]?.needs]));
  }

  run(): Schedule {
    this.extend();
    const found = this.best ?? { placed: [], minutes: 0 };
    const isBest = found.minutes <= this.least + NEAR || this.tried < MOST_PLACED;
    return {
      tasks: found.placed.map(({ task, starts, ends, person }) => ({ id: present(this.tasks[task], "task").id, starts, ends, person })),
      minutes: found.minutes,
      proven: isBest,
      gap: isBest ? 0 : found.minutes - this.least,
    };
  }

  private isOver(): boolean {
    return this.best !== null && (this.tried >= MOST_PLACED || this.best.minutes <= this.least + NEAR);
  }

  private extend(): void {
    if (this.isOver()) return;
    if (this.placed.length === this.tasks.length) {
      const minutes = Math.max(0, ...this.placed.map(({ ends, task }) => ends + present(this.tasks[task], "task").waitMinutes));
      if (this.best === null || minutes < this.best.minutes - NEAR) this.best = { placed: [...this.placed], minutes };
      return;
    }
    const open = this.edges.flatMap(({ after }, index) =>
      this.at[index] === undefined && after.every(({ task }) => this.at[task]) ? [index] : [],
    );
    this.tried += open.length;
    const choices = open
      .map((index) => this.placeEarliest(index))
      .toSorted((a, b) => a.starts - b.starts || present(this.tails[b.task], "tail") - present(this.tails[a.task], "tail"));
    const limit = this.best?.minutes ?? Infinity;
    if (choices.some(({ task, ends }) => ends + present(this.tails[task], "tail") >= limit - NEAR)) {
      // The later it is put in, the later everything ends: in this order there is nothing better.
      return;
    }
    const seen = new Set<string>();
    for (const choice of choices) {
      // Tasks that are alike in everything need not be tried in each other's place.
      const kind = present(this.kinds[choice.task], "kind");
      if (seen.has(kind)) continue;
      seen.add(kind);
      this.placed.push(choice);
      this.at[choice.task] = choice;
      this.extend();
      this.at[choice.task] = undefined;
      this.placed.pop();
      if (this.isOver()) return;
    }
  }

  private placeEarliest(index: number): Placed {
    const { minutes, after } = present(this.edges[index], "task");
    const { needs, id } = present(this.tasks[index], "task");
    const ready = after.reduce((latest, { task, lag }) => Math.max(latest, present(this.at[task], id).ends + lag), 0);
    const times = [ready, ...this.placed.map(({ ends }) => ends).filter((end) => end > ready)].toSorted((a, b) => a - b);
    for (const starts of times) {
      const ends = starts + minutes;
      const meanwhile = this.placed.filter((other) => other.starts < ends - NEAR && other.ends > starts + NEAR);
      if (meanwhile.some((other) => clash(needs, present(this.tasks[other.task], id).needs))) continue;
      for (let person = 0; person < this.people; person += 1)
        if (!meanwhile.some((other) => other.person === person)) return { task: index, starts, ends, person };
    }
    throw new Error(`No time for ${id}.`);
  }
}

/** Two ladders at once, two who both want to hear the room, or noise where silence is needed. */
const clash = (a: Task["needs"], b: Task["needs"]): boolean =>
  (a.ladder && b.ladder) || (a.silence && b.silence) || (a.silence && b.noise) || (a.noise && b.silence);
