/** A name beside a mark of a drawing: its middle, and how wide it is about. */
export interface Label {
  readonly key: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
}

const LINE = 15;
/** Further away than so many lines a name is no longer beside its mark. */
const MOST_LINES = 4;

/** How far down each name is moved so that none lies on another; the upper ones stay. */
export function apartLabels(labels: readonly Label[]): ReadonlyMap<string, number> {
  const set: Label[] = [];
  const moved = new Map<string, number>();
  for (const label of labels.toSorted((a, b) => a.y - b.y || a.x - b.x)) {
    const meets = (y: number) =>
      set.some((other) => Math.abs(other.x - label.x) < (other.width + label.width) / 2 && Math.abs(other.y - y) < LINE);
    let lines = 0;
    while (lines < MOST_LINES && meets(label.y + lines * LINE)) lines += 1;
    moved.set(label.key, lines * LINE);
    set.push({ ...label, y: label.y + lines * LINE });
  }
  return moved;
}
