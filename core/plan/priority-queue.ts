/** An item with its place among all that were pushed. */
interface Entry<Item> {
  readonly item: Item;
  readonly place: number;
}

/** A priority queue: the first item by an order is taken first; of two that the order does not tell apart, the one pushed first. A binary heap. */
export class PriorityQueue<Item> {
  private readonly heap: Entry<Item>[] = [];
  private pushed = 0;

  /** @param order negative where its first argument comes before its second */
  constructor(
    private readonly order: (a: Item, b: Item) => number,
    items: Iterable<Item> = [],
  ) {
    for (const item of items) this.push(item);
  }

  get size(): number {
    return this.heap.length;
  }

  /** The item that would be taken next; undefined where the queue is empty. */
  get first(): Item | undefined {
    return this.heap[0]?.item;
  }

  push(item: Item): void {
    this.heap.push({ item, place: this.pushed });
    this.pushed += 1;
    let at = this.heap.length - 1;
    while (at > 0) {
      const parent = (at - 1) >> 1;
      if (this.compare(at, parent) >= 0) return;
      this.swap(at, parent);
      at = parent;
    }
  }

  /** Takes the first item out; undefined where the queue is empty. */
  take(): Item | undefined {
    const first = this.heap[0];
    const last = this.heap.pop();
    if (last === undefined || this.heap.length === 0) return first?.item;
    this.heap[0] = last;
    let at = 0;
    for (;;) {
      let least = at;
      for (const child of [2 * at + 1, 2 * at + 2]) if (child < this.heap.length && this.compare(child, least) < 0) least = child;
      if (least === at) return first?.item;
      this.swap(at, least);
      at = least;
    }
  }

  private at(index: number): Entry<Item> {
    const entry = this.heap[index];
    if (entry === undefined) throw new Error("no such place in the queue");
    return entry;
  }

  private compare(a: number, b: number): number {
    const [one, other] = [this.at(a), this.at(b)];
    return this.order(one.item, other.item) || one.place - other.place;
  }

  private swap(a: number, b: number): void {
    const [one, other] = [this.at(a), this.at(b)];
    this.heap[a] = other;
    this.heap[b] = one;
  }
}
