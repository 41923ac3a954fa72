import { present } from "@/core/outcome";
import { Board, type Work } from "./board";

/** Start times in the order of the tasks, and when everything is over. */
export interface Starts {
  readonly starts: readonly number[];
  readonly minutes: number;
}

/** Puts tasks in, each as early as it can be, those of greater weight first among those whose turn it is. */
function bySerialOrder(works: readonly Work[], people: number, weights: readonly number[], release?: readonly number[]): Starts {
  const board = new Board(works, people, release);
  const open = new Set(works.keys());
  while (open.size) {
    let next = -1;
    for (const task of open)
      if (board.isReady(task) && (next < 0 || present(weights[task], "weight") > present(weights[next], "weight"))) next = task;
    board.put(next, board.earliest(next));
    open.delete(next);
  }
  return { starts: works.map((_, task) => present(board.startOf(task), "start")), minutes: board.minutes };
}

/** Puts in next what can begin soonest, and of these what has most after it. */
function bySoonest(works: readonly Work[], people: number, tails: readonly number[]): Starts {
  const board = new Board(works, people);
  const open = new Set(works.keys());
  while (open.size) {
    let best: { readonly task: number; readonly at: number } | null = null;
    for (const task of open) {
      if (!board.isReady(task)) continue;
      const at = board.earliest(task);
      const isSooner =
        best === null || at < best.at || (at === best.at && present(tails[task], "tail") > present(tails[best.task], "tail"));
      if (isSooner) best = { task, at };
    }
    const { task, at } = present(best, "task");
    board.put(task, at);
    open.delete(task);
  }
  return { starts: works.map((_, task) => present(board.startOf(task), "start")), minutes: board.minutes };
}

/** The same work backwards in time: what follows comes first, and what is waited for after the last step is waited for before it. */
function backwards(works: readonly Work[]): { readonly works: readonly Work[]; readonly release: readonly number[] } {
  const followers: { task: number; lag: number }[][] = works.map(() => []);
  for (const [task, { after }] of works.entries()) for (const { task: before, lag } of after) followers[before]?.push({ task, lag });
  return {
    works: works.map((work, task) => ({ ...work, waitMinutes: 0, after: followers[task] ?? [] })),
    release: works.map(({ waitMinutes }) => waitMinutes),
  };
}

/** Numbers that look random and are the same every time. Source: Steele, Lea and Flood 2014 (SplitMix), 32-bit form. */
function* numbers(seed: number): Generator<number, never> {
  let state = seed >>> 0;
  for (;;) {
    state = (state + 0x9e3779b9) >>> 0;
    let mixed = state ^ (state >>> 16);
    mixed = Math.imul(mixed, 0x21f0aaad);
    mixed ^= mixed >>> 15;
    mixed = Math.imul(mixed, 0x735a2d97);
    yield ((mixed ^ (mixed >>> 15)) >>> 0) / 2 ** 32;
  }
}

/** So many orders are tried. */
const MOST_ORDERS = 60;

/**
 * A short schedule, by many orders: each is pushed as late as it goes and then as early as it goes, which closes gaps, and the next varies the
 * weights of the best so far (forward and backward improvement, Tormos and Lova 2001; sampling with a fixed seed, so that it is the same
 * every time).
 * @param tails the least time after each task
 * @param least where a schedule is this short, none is shorter
 */
export function shortSchedule(works: readonly Work[], people: number, tails: readonly number[], least: number): Starts {
  const back = backwards(works);
  const improved = (given: Starts): Starts => {
    let best = given;
    for (;;) {
      // Whoever ends last begins first backwards in time.
      const ends = best.starts.map((start, task) => start + present(works[task], "work").minutes);
      const late = bySerialOrder(back.works, people, ends, back.release);
      const lastStart = late.starts.map((start, task) => -(late.minutes - start - present(works[task], "work").minutes));
      const early = bySerialOrder(works, people, lastStart);
      if (early.minutes >= best.minutes - 1e-9) return best;
      best = early;
    }
  };
  const total = works.reduce((sum, { minutes }) => sum + minutes, 0);
  const weights = tails.map((tail, task) => tail + present(works[task], "work").minutes);
  // Work that only one can do at a time is held up by everything else, so it also goes first once.
  const first = [weights, weights.map((weight, task) => weight + (works[task]?.ladder || works[task]?.silence ? total : 0))];
  let best = bySoonest(works, people, tails);
  const random = numbers(1);
  for (let round = 0; round < MOST_ORDERS && best.minutes > least + 1e-9; round += 1) {
    const base = first[round] ?? best.starts.map((start) => -start);
    const shake = round < first.length ? 0 : total * (0.02 + 0.2 * ((round % 7) / 7));
    const varied = base.map((weight) => weight + shake * (random.next().value - 0.5));
    const found = improved(bySerialOrder(works, people, varied));
    if (found.minutes < best.minutes - 1e-9) best = found;
  }
  return best;
}
