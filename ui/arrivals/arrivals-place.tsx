"use client";

import { useEffect, useState } from "react";
import { EffectLine, Sheet, useChanges, useJob } from "@/ui/job";
import styles from "./arrivals.module.css";
import { BestChange } from "./best-change";
import { EmptyBoard } from "./empty-board";
import { Score } from "./score";
import { Story } from "./story";

/** The board as a score: one row for each player and kind of content, read from left to right. */
export function ArrivalsPlace() {
  const board = useJob((state) => state.board);
  const job = useJob((state) => state.job);
  const [wanted, setWanted] = useState<string | null>(null);
  const changes = useChanges(job);
  const worst = board.find(({ verdict }) => verdict !== "full") ?? board[0];
  const chosen = board.find(({ id }) => id === wanted) ?? worst;
  useArrowKeys(
    board.map(({ id }) => id),
    chosen?.id ?? null,
    setWanted,
  );
  return (
    <Sheet
      marginLabel="The chosen row"
      margin={chosen ? <Story arrival={chosen} changes={changes} /> : null}
      foot={
        <>
          <EffectLine />
          <BestChange smallest={changes.smallest} />
        </>
      }
    >
      <h2 className="for-ears-only">Arrivals</h2>
      {board.length && chosen ? <Score chosen={chosen.id} onChoose={setWanted} /> : <EmptyBoard />}
      <p aria-live="polite" className={`for-ears-only ${styles.ears}`}>
        {board.length} rows
      </p>
    </Sheet>
  );
}

/** Up and down move through the rows from wherever the focus is on them. */
function useArrowKeys(ids: readonly string[], chosen: string | null, choose: (id: string) => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.target instanceof HTMLElement) || !event.target.closest("[data-score]")) return;
      const step = event.key === "ArrowDown" ? 1 : event.key === "ArrowUp" ? -1 : 0;
      const next = chosen && step ? ids[ids.indexOf(chosen) + step] : undefined;
      if (!next) return;
      event.preventDefault();
      choose(next);
      document.getElementById(`row-${next}`)?.focus();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [ids, chosen, choose]);
}
