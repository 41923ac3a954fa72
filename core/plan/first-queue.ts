/** A priority queue: what comes before all others by an order is taken first. A binary heap. */
export class FirstQueue<Item> {
  private readonly heap: Item[] = [];

  /** `order` is negative where its first argument comes before its second. */
  constructor(private readonly order: (a: Item, b: Item) => number) {}

  get size(): number {
    return this.heap.length;
  }

  push(item: Item): void {
    this.heap.push(item);
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
    if (last === undefined || this.heap.length === 0) return first;
    this.heap[0] = last;
    let at = 0;
    for (;;) {
      let least = at;
      for (const child of [2 * at + 1, 2 * at + 2]) if (child < this.heap.length && this.compare(child, least) < 0) least = child;
      if (least === at) return first;
      this.swap(at, least);
      at = least;
    }
  }

  private compare(a: number, b: number): number {
    const [one, other] = [this.heap[a], this.heap[b]];
    if (one === undefined || other === undefined) throw new Error("no such place in the queue");
    return this.order(one, other);
  }

  private swap(a: number, b: number): void {
    const [one, other] = [this.heap[a], this.heap[b]];
    if (one === undefined || other === undefined) throw new Error("no such place in the queue");
    this.heap[a] = other;
    this.heap[b] = one;
  }
}
