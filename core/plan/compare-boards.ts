import { compareArrivals, type Arrival, comparePictures } from "@/core/chain";

/** A row of two boards side by side. */
export interface ComparedRow {
  readonly id: string;
  readonly left: Arrival | null;
  readonly right: Arrival | null;
  /** Positive where the right is better, negative where it is worse, 0 where alike or where one side has no such row. */
  readonly sound: number;
  readonly picture: number;
}

/** Two boards row by row, in the order of the left one, rows that only the right has after them. */
export function compareBoards(left: readonly Arrival[], right: readonly Arrival[]): readonly ComparedRow[] {
  const there = new Map(right.map((row) => [row.id, row]));
  const known = new Set(left.map(({ id }) => id));
  return [
    ...left.map((row) => pair(row, there.get(row.id) ?? null)),
    ...right.filter(({ id }) => !known.has(id)).map((row) => pair(null, row)),
  ];
}

function pair(left: Arrival | null, right: Arrival | null): ComparedRow {
  const both = left !== null && right !== null;
  return {
    id: (left ?? right)?.id ?? "",
    left,
    right,
    sound: both ? compareArrivals(right, left) : 0,
    picture: both ? comparePictures(right, left) : 0,
  };
}

/** Whether a row is the same on both sides as far as a person would notice: sound, picture, delay. */
export const isAlike = ({ left, right, sound, picture }: ComparedRow): boolean =>
  left !== null && right !== null && sound === 0 && picture === 0 && left.verdict === right.verdict && left.delayMs === right.delayMs;
