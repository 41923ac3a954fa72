import type { ReactNode } from "react";
import type { Brief } from "@/core/job";
import { BRIEF_USES } from "@/core/text";
import styles from "./brief.module.css";

/** A question of the brief with its field, and where the answer is used. */
export function Question({ name, uses, children }: { name: string; uses: keyof Brief; children: ReactNode }) {
  return (
    <div className={styles.question}>
      <span className={styles.name}>
        {name}
        <span className={styles.uses}>{BRIEF_USES[uses]}</span>
      </span>
      <div className={styles.answer}>{children}</div>
    </div>
  );
}
