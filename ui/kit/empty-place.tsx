import type { ReactNode } from "react";
import styles from "./empty-place.module.css";

/** An empty page: what will stand here, and the first act. */
export function EmptyPlace({ heading, words, children }: { heading: string; words: string; children?: ReactNode }) {
  return (
    <div className={styles.empty}>
      <h2>{heading}</h2>
      <p>{words}</p>
      {children}
    </div>
  );
}
