/** A name beside a mark of a drawing: its middle, and how wide it is about. */
export interface Label {
  readonly key: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
}

/** What a mark or a name covers of a drawing, by its middle. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
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

/** How far across a name is moved so that it lies between two walls; one that is wider than the room lies over its middle. */
export function acrossInto({ x, width }: Pick<Label, "x" | "width">, from: number, to: number): number {
  if (to - from <= width) return (from + to) / 2 - x;
  return Math.min(Math.max(x, from + width / 2), to - width / 2) - x;
}

/** The first of some places that covers nothing of what is there; where all of them do, the first of all. */
export function firstClear<Place extends Box>(places: readonly [Place, ...Place[]], taken: readonly Box[]): Place {
  return places.find((place) => !taken.some((box) => covers(place, box))) ?? places[0];
}

const covers = (a: Box, b: Box): boolean =>
  Math.abs(a.x - b.x) < (a.width + b.width) / 2 && Math.abs(a.y - b.y) < (a.height + b.height) / 2;

/** What a name covers, moved down as it is. */
export const boxOfLabel = ({ x, y, width }: Label, down: number): Box => ({ x, y: y + down - LINE / 3, width, height: LINE });
