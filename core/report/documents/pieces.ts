import type { PrintBlock } from "@/core/paper";

export const heading = (level: 1 | 2 | 3, words: string): PrintBlock => ({ block: "heading", level, words });

/** A table with its headings, and the share of the width that each column has. */
export const table = (heads: readonly string[], shares: readonly number[], rows: readonly (readonly string[])[]): PrintBlock => ({
  block: "table",
  columns: heads.map((head, index) => ({ head, share: shares[index] ?? 1 })),
  rows,
});

/** A heading with a table; nothing at all where there are no rows. */
export const titledTable = (
  title: string,
  heads: readonly string[],
  shares: readonly number[],
  rows: readonly (readonly string[])[],
): readonly PrintBlock[] => (rows.length ? [heading(2, title), table(heads, shares, rows)] : []);
