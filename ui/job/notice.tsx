"use client";

import { useIntents, useJob } from "./job-context";
import frame from "./job-frame.module.css";
import styles from "./notice.module.css";
import { jobWords } from "@/ui/words";

/**
 * The sentence for the person, until it is read: what was refused, or what became of their edits. A dialog in which the job is edited shows
 * it too, since the frame's is behind it.
 */
export function Notice({ in: place }: { in: "frame" | "dialog" }) {
  const notice = useJob((state) => state.notice);
  const { clearNotice } = useIntents();
  return (
    <div aria-live="assertive" className={place === "frame" ? styles.place : undefined}>
      {notice ? (
        <p className={place === "frame" ? styles.notice : styles.inDialog}>
          {notice}
          <button type="button" className={frame.plain} onClick={clearNotice}>
            {jobWords.understood}
          </button>
        </p>
      ) : null}
    </div>
  );
}
