import type { ReactNode } from "react";
import styles from "./room.module.css";

/** A field with its name before it, on one line. */
export function NumberLine({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className={styles.numberLine}>
      <span aria-hidden>{label}</span>
      {children}
    </div>
  );
}
