"use client";

import { useMemo } from "react";
import { SHELF } from "@/core/device";
import { useFinder } from "@/ui/kit";
import { shelfWords } from "@/ui/words";
import type { OwnDevice } from "./own-devices";
import { KindRow, OwnRow, ownSummary, type OwnActs } from "./shelf-rows";
import styles from "./shelf.module.css";

/** What on the shelf has some words in its name or in what is said of it, one's own and what ships alike, the likeliest first. */
export function FoundOnShelf({ words, own, acts }: { words: string; own: readonly OwnDevice[]; acts: OwnActs }) {
  const rows = useMemo(
    () => [
      ...own.map((one) => ({ key: `own ${one.id}`, name: one.device.name, detail: ownSummary(one.device), own: one })),
      ...SHELF.map((kind) => ({ key: kind.archetype, name: kind.name, detail: kind.summary, kind })),
    ],
    [own],
  );
  const find = useFinder(rows);
  const found = find?.(words) ?? [];
  return (
    <section aria-label={shelfWords.found}>
      <h2>{find ? shelfWords.foundSome(found.length) : shelfWords.found}</h2>
      <ul className={styles.rows}>
        {found.map((row) =>
          "own" in row ? <OwnRow key={row.key} own={row.own} acts={acts} /> : <KindRow key={row.key} kind={row.kind} />,
        )}
      </ul>
    </section>
  );
}
