import { present } from "@/core/outcome";
import type { Work } from "./board";

/** The least time before each task, the least after it, and the least for all. */
export interface TimeBounds {
  readonly heads: readonly number[];
  readonly tails: readonly number[];
  readonly least: number;
}

interface Row {
  readonly head: number;
  readonly minutes: number;
  readonly tail: number;
  readonly silence: boolean;
  readonly ladder: boolean;
}

/**
 * The least time that work takes: for every set of tasks that begin no earlier than one and leave no less after them than another, the least
 * head, the work shared out, and the least tail (Carlier 1982, the one-machine bound). Work that only one can do at a time counts in full.
 */
function leastFor(rows: readonly Row[], people: number): number {
  const groups = [
    { rows, people },
    ...(people > 1
      ? [
          { rows: rows.filter(({ silence }) => silence), people: 1 },
          { rows: rows.filter(({ ladder }) => ladder), people: 1 },
        ]
      : []),
  ];
  // Nobody is quicker than a whole task, however many there are.
  let least = Math.max(0, ...rows.map(({ head, minutes, tail }) => head + minutes + tail));
  for (const group of groups) {
    const byTail = group.rows.toSorted((a, b) => b.tail - a.tail);
    for (const { head } of group.rows) {
      let work = 0;
      for (const row of byTail) {
        if (row.head < head - 1e-9) continue;
        work += row.minutes;
        least = Math.max(least, head + work / group.people + row.tail);
      }
    }
  }
  return least;
}

/** Bounds for tasks that stand in an order in which each comes after those it follows. */
export function timeBounds(tasks: readonly Work[], people: number): TimeBounds {
  const forward = headsOf(tasks, people);
  // Backwards in time the same holds: who comes after becomes who comes before.
  const count = tasks.length;
  const turned = tasks.map((_, place) => {
    const task = present(tasks[count - 1 - place], "task");
    const after = tasks.flatMap((other, index) =>
      other.after.filter((edge) => edge.task === count - 1 - place).map(({ lag }) => ({ task: count - 1 - index, lag })),
    );
    return { ...task, after };
  });
  const backward = headsOf(
    turned,
    people,
    turned.map(({ waitMinutes }) => waitMinutes),
  ).toReversed();
  const rows = tasks.map((task, index): Row => ({
    ...task,
    head: present(forward[index], "head"),
    tail: present(backward[index], "tail"),
  }));
  const least = leastFor(rows, people);
  // Where every piece of work is so many half minutes, so is the whole.
  const isInHalves = tasks.every(({ minutes, waitMinutes }) => Number.isInteger(minutes * 2) && Number.isInteger(waitMinutes * 2));
  return { heads: forward, tails: backward, least: isInHalves ? Math.ceil(least * 2 - 1e-9) / 2 : least };
}

/** The least start of each task: by the longest way to it, and by all the work that must be done before it. */
function headsOf(tasks: readonly Work[], people: number, own: readonly number[] = tasks.map(() => 0)): readonly number[] {
  const heads: number[] = [];
  /** For each task: how long after the end of each of its ancestors it can begin at the earliest. */
  const ways: Map<number, number>[] = [];
  for (const [index, { after }] of tasks.entries()) {
    const way = new Map<number, number>();
    for (const { task, lag } of after) {
      way.set(task, Math.max(way.get(task) ?? 0, lag));
      for (const [ancestor, distance] of present(ways[task], "way"))
        way.set(ancestor, Math.max(way.get(ancestor) ?? 0, distance + present(tasks[task], "task").minutes + lag));
    }
    ways.push(way);
    const rows = [...way].map(([ancestor, tail]): Row => ({
      ...present(tasks[ancestor], "task"),
      head: present(heads[ancestor], "head"),
      tail,
    }));
    heads.push(Math.max(own[index] ?? 0, leastFor(rows, people)));
  }
  return heads;
}
