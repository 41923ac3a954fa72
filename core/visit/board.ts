import { present } from "@/core/outcome";

/** Work as it is put in time, known by its place in an order in which each comes after those it follows. */
export interface Work {
  readonly minutes: number;
  readonly waitMinutes: number;
  readonly after: readonly { readonly task: number; readonly lag: number }[];
  readonly ladder: boolean;
  readonly silence: boolean;
  readonly noise: boolean;
}

interface Placed {
  readonly task: number;
  readonly starts: number;
  readonly ends: number;
}

const NEAR = 1e-9;

/** Two ladders at once, two who both want to hear the room, or noise where silence is needed. */
const clash = (a: Work, b: Work): boolean => (a.ladder && b.ladder) || (a.silence && (b.silence || b.noise)) || (a.noise && b.silence);

/** The hours of a visit with what was put in so far; never more at once than there are people. */
export class Board {
  private readonly placed: Placed[] = [];
  private readonly at: (Placed | undefined)[];

  /** @param release before this a task does not begin, however soon it could */
  constructor(
    private readonly works: readonly Work[],
    private readonly people: number,
    private readonly release: readonly number[] = works.map(() => 0),
  ) {
    this.at = works.map(() => undefined);
  }

  get rows(): readonly Placed[] {
    return this.placed;
  }

  startOf(task: number): number | undefined {
    return this.at[task]?.starts;
  }

  isReady(task: number): boolean {
    return this.at[task] === undefined && present(this.works[task], "work").after.every((before) => this.at[before.task]);
  }

  /** The earliest time at which a task whose work before it is put in can be done. */
  earliest(task: number): number {
    const work = present(this.works[task], "work");
    let from = present(this.release[task], "release");
    for (const { task: before, lag } of work.after) from = Math.max(from, (this.at[before]?.ends ?? 0) + lag);
    for (;;) {
      const until = this.blockedUntil(work, from);
      if (until === null) return from;
      from = until;
    }
  }

  put(task: number, starts: number): void {
    const row = { task, starts, ends: starts + present(this.works[task], "work").minutes };
    this.placed.push(row);
    this.at[task] = row;
  }

  takeBack(): void {
    const row = this.placed.pop();
    if (row) this.at[row.task] = undefined;
  }

  /** Until everything is done and waited for. */
  get minutes(): number {
    return Math.max(0, ...this.placed.map(({ task, ends }) => ends + present(this.works[task], "work").waitMinutes));
  }

  /** What keeps a task from beginning at a time is there until then; null: nothing does. */
  private blockedUntil(work: Work, from: number): number | null {
    const to = from + work.minutes;
    const during: Placed[] = [];
    for (const row of this.placed) {
      if (row.starts >= to - NEAR || row.ends <= from + NEAR) continue;
      if (clash(work, present(this.works[row.task], "work"))) return row.ends;
      during.push(row);
    }
    if (during.length < this.people) return null;
    // Where one begins, so many are at work; the next free hand is that of whoever ends first.
    for (const { starts } of during) {
      const moment = Math.max(starts, from);
      const busy = during.filter((row) => row.starts <= moment + NEAR && row.ends > moment + NEAR);
      if (busy.length >= this.people) return Math.min(...busy.map(({ ends }) => ends));
    }
    return null;
  }
}
