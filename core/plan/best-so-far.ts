import type { Solved } from "@/core/chain";
import type { Change } from "./changes";
import { movedRows } from "./moved-rows";

/** A solved set of changes. */
export interface Solution {
  readonly changes: readonly Change[];
  readonly cost: number;
  readonly solved: Solved;
  readonly total: number;
}

/** What a part of all sets can bring at most in sum, and the least that it costs. */
export interface Hoped {
  readonly most: number;
  readonly estimate: number;
}

const MOST_TIES = 4;
/** How far the search goes on for other sets of the same sum and cost once nothing better is left. */
const LOOKS_FOR_TIES = 100;
/** Sums are of whole scores and fractions of pictures: closer than this they are equal. */
export const ALIKE = 1e-5;

/** The best set so far, and others of the same sum and cost. */
export class BestSoFar {
  ties: readonly Solution[] = [];
  private looksForTies = 0;

  constructor(
    private readonly start: Solved,
    public best: Solution,
  ) {}

  offer(solution: Solution): void {
    const more = solution.total - this.best.total;
    if (more < -ALIKE || (more <= ALIKE && solution.cost > this.best.cost)) return;
    if (solution.changes.length > 0 && lowersAny(this.start, solution)) return;
    if (more > ALIKE || solution.cost < this.best.cost) {
      this.best = solution;
      this.ties = [];
    } else if (
      solution.changes !== this.best.changes &&
      keyOf(solution.changes) !== keyOf(this.best.changes) &&
      this.ties.length < MOST_TIES
    )
      this.ties = this.ties.some(({ changes }) => keyOf(changes) === keyOf(solution.changes)) ? this.ties : [...this.ties, solution];
  }

  /** Whether nothing of a part could be better than the best, or as good for less; for a while also what could be as good for as much. */
  isBeyond({ most, estimate }: Hoped): boolean {
    const more = most - this.best.total;
    if (more > ALIKE) return false;
    if (more < -ALIKE || estimate > this.best.cost) return true;
    return estimate === this.best.cost && (this.best.cost === 0 || this.ties.length >= MOST_TIES || this.looksForTies >= LOOKS_FOR_TIES);
  }

  /** Counts a look at what can at most be as good as the best. */
  noteLook({ most, estimate }: Hoped): void {
    if (most - this.best.total <= ALIKE && estimate >= this.best.cost) this.looksForTies += 1;
  }
}

function lowersAny(start: Solved, { solved }: Solution): boolean {
  const { lowers, pictureLowers } = movedRows(start.rows, solved.rows);
  return lowers.length + pictureLowers.length > 0;
}

const keyOf = (changes: readonly Change[]): string =>
  changes
    .map(({ command }) => JSON.stringify(command))
    .toSorted()
    .join("|");
