import type { Arrival } from "./arrival";

/** The rows of a board by the content that they play: one for each screen that it is shown on. */
export function byContent(rows: readonly Arrival[]): ReadonlyMap<string, readonly Arrival[]> {
  const contents = new Map<string, Arrival[]>();
  for (const row of rows) {
    const key = `${row.player}/${row.source}/${row.content.id}`;
    const known = contents.get(key);
    if (known) known.push(row);
    else contents.set(key, [row]);
  }
  return contents;
}
