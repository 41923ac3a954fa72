"use client";

import { Button } from "antd";
import type { WeighedChange } from "@/core/plan";
import { changeWords, plural } from "@/core/text";
import { useIntents, useJob } from "@/ui/job";
import styles from "./arrivals.module.css";

/** The one thing to do next: the single change that lifts most and costs least, lowering nothing. */
export function BestChange({ changes }: { changes: readonly WeighedChange[] | null }) {
  const job = useJob((state) => state.job);
  const board = useJob((state) => state.board);
  const { edit } = useIntents();
  if (board.every(({ verdict }) => verdict === "full")) return null;
  const best = changes?.filter(({ lowers }) => lowers.length === 0).sort((a, b) => b.lifts.length - a.lifts.length)[0];
  return (
    <div className={styles.best}>
      <span>
        <b>The single change that lifts most</b>
        <span>
          {!changes
            ? "Trying every one …"
            : best
              ? `${changeWords(job, best)}: lifts ${plural(best.lifts.length, "row")}, lowers none.`
              : changes.length
                ? "Each that lifts a row lowers another; the chosen row lists them."
                : "None: no single setting, plug or cable of this gear lifts a row."}
        </span>
      </span>
      {best ? (
        <Button type="primary" onClick={() => edit(best.command)}>
          Try it
        </Button>
      ) : null}
    </div>
  );
}
