/** What is still to be looked at, the one that could bring most first; of two with the same bound the one that came first. */
export class ByBound<Item extends { readonly bound: number }> {
  /** The best last, so that it is quickly taken. */
  private readonly items: Item[];

  constructor(items: readonly Item[] = []) {
    this.items = items.toSorted((a, b) => b.bound - a.bound).reverse();
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
      if ((this.items[middle]?.bound ?? Infinity) < item.bound) from = middle + 1;
      else to = middle;
    }
    this.items.splice(from, 0, item);
  }
}
