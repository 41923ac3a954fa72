import type { ReactNode } from "react";
import styles from "./sheet.module.css";

/** A place of a job: the sheet (the work), the margin (the story of what is chosen; null: nothing is), the foot (the next thing). */
export function Sheet({
  children,
  margin,
  foot,
  marginLabel,
}: {
  children: ReactNode;
  margin: ReactNode;
  foot: ReactNode;
  marginLabel: string;
}) {
  return (
    <div className={margin === null ? styles.lone : styles.body}>
      <main className={styles.sheet}>{children}</main>
      {margin === null ? null : (
        <aside className={styles.margin} aria-label={marginLabel} tabIndex={0}>
          {margin}
        </aside>
      )}
      <footer className={styles.foot}>{foot}</footer>
    </div>
  );
}
