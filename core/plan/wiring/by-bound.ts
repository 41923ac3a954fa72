import { ALIKE } from "./nodes";

/** What is looked at in the order of what it could bring. */
interface Bounded {
  readonly bound: number;
  /** The greater, the further it is worked out. */
  readonly depth: number;
}

/**
 * What is still to be looked at, the one that could bring most first; of two alike the one that is worked out further, for it is sooner
 * known; of two alike in that the one that came first.
 */
export class ByBound<Item extends Bounded> {
  /** The best last, so that it is quickly taken. */
  private readonly items: Item[];

  constructor(items: readonly Item[] = []) {
    this.items = items.toSorted(byPlace).reverse();
  }

  get best(): Item | undefined {
    return this.items.at(-1);
  }

  take(): Item | undefined {
    return this.items.pop();
  }

  add(item: Item): void {
    let [from, to] = [0, this.items.length];
    while (from < to) {
      const middle = (from + to) >> 1;
      const other = this.items[middle];
      if (other && byPlace(item, other) < 0) from = middle + 1;
      else to = middle;
    }
    this.items.splice(from, 0, item);
  }
}

const byPlace = (a: Bounded, b: Bounded): number => Math.round(b.bound / ALIKE) - Math.round(a.bound / ALIKE) || b.depth - a.depth;
