"use client";

import { Button } from "antd";
import { TriangleAlert } from "lucide-react";
import { kitWords } from "@/ui/words";
import styles from "./damaged-rows.module.css";

interface DamagedRowsProps {
  rows: readonly { readonly id: string; readonly text: string }[];
  onDrop: (id: string) => void;
}

const MOST_SHOWN = 200;

/** Rows of a list that no longer read, each in its place with its text as it is stored; the others of the list go on. */
export function DamagedRows({ rows, onDrop }: DamagedRowsProps) {
  if (rows.length === 0) return null;
  return (
    <section aria-label={kitWords.damagedRows(rows.length)} className={styles.damaged}>
      <h3>
        <TriangleAlert size={16} aria-hidden /> {kitWords.damagedRows(rows.length)}
      </h3>
      <p>{kitWords.damagedRowsWords}</p>
      <ul>
        {rows.map(({ id, text }) => (
          <li key={id}>
            <code>{text.slice(0, MOST_SHOWN)}</code>
            <Button size="small" onClick={() => onDrop(id)}>
              {kitWords.takeOffTheList}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
