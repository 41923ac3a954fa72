import { Button } from "antd";
import { kitWords } from "@/ui/words";
import type { Working } from "./use-worker";
import styles from "./work-note.module.css";

/** What a piece of work is doing while it has no answer: its own words while it runs; that it failed or was stopped, and the way to try again. */
export function WorkNote({ working: { work, again }, words }: { working: Working<unknown, unknown>; words: string }) {
  if (work.state === "idle" || work.state === "done") return null;
  if (work.state === "working")
    return (
      <p className={styles.note} role="status">
        {words}
      </p>
    );
  return (
    <p className={styles.note} role="alert">
      {work.state === "failed" ? kitWords.workFailed : kitWords.workStopped}{" "}
      <Button size="small" onClick={again}>
        {kitWords.tryAgain}
      </Button>
    </p>
  );
}
