"use client";

import { Button } from "antd";
import dynamic from "next/dynamic";
import { useEffect } from "react";
import { boardText, plural } from "@/core/text";
import { EffectLine, Sheet, useChanges, useIntents, useJob } from "@/ui/job";
import { copyText, PdfLink, Switcher, useChosen } from "@/ui/kit";
import styles from "./arrivals-place.module.css";
import { BestChange } from "./best-change";
import { EmptyBoard } from "./empty-board";
import { Score } from "./score";
import { Story } from "./story";
import { arrivalsWords, kitWords } from "@/ui/words";

const CompareView = dynamic(() => import("./compare-view").then((module) => module.CompareView), { ssr: false });
const ChangesView = dynamic(() => import("./changes-view").then((module) => module.ChangesView), { ssr: false });

const VIEWS = [
  { key: "board", name: arrivalsWords.board },
  { key: "compare", name: arrivalsWords.compare },
  { key: "changes", name: arrivalsWords.changes },
] as const;

/** The board as a score, two states of it side by side, and the changes that would move it. */
export function ArrivalsPlace() {
  const board = useJob((state) => state.board);
  const job = useJob((state) => state.job);
  const jobId = useJob((state) => state.id);
  const { say } = useIntents();
  const [wanted, setWanted] = useChosen("row");
  const [viewName, setView] = useChosen("view");
  const [lostOnly, setLostOnly] = useChosen("lost");
  const view = VIEWS.find(({ key }) => key === viewName)?.key ?? "board";
  const changes = useChanges(job);
  const lost = board.filter(({ verdict }) => verdict !== "full");
  const shown = lostOnly && lost.length ? lost : board;
  const chosen = shown.find(({ id }) => id === wanted) ?? lost[0] ?? board[0];
  useArrowKeys(
    shown.map(({ id }) => id),
    chosen?.id ?? null,
    setWanted,
  );
  const copy = () => void copyText(boardText(job, board)).then((isDone) => say(isDone ? arrivalsWords.boardCopied : kitWords.notCopied));
  return (
    <Sheet
      marginLabel={arrivalsWords.theChosenRow}
      margin={chosen ? <Story arrival={chosen} changes={changes} /> : null}
      foot={
        <>
          <EffectLine />
          {view === "changes" ? null : <BestChange changes={changes} />}
        </>
      }
    >
      <h2 className="for-ears-only">{arrivalsWords.arrivals}</h2>
      {board.length ? (
        <div className={styles.tools}>
          <Switcher
            label={arrivalsWords.whatIsShown}
            choices={VIEWS}
            chosen={view}
            onChoose={(key) => setView(key === "board" ? null : key)}
          />
          {view === "board" && lost.length ? (
            <label className={styles.lostOnly}>
              <input type="checkbox" checked={lostOnly !== null} onChange={(event) => setLostOnly(event.target.checked ? "1" : null)} />
              {arrivalsWords.onlyWhatIsLost(lost.length)}
            </label>
          ) : null}
          <Button size="small" onClick={copy}>
            {arrivalsWords.copyAsText}
          </Button>
          <PdfLink jobId={jobId} print="board" />
        </div>
      ) : null}
      {!board.length || !chosen ? (
        <EmptyBoard />
      ) : view === "compare" ? (
        <CompareView />
      ) : view === "changes" ? (
        <ChangesView changes={changes} />
      ) : (
        <Score rows={shown} chosen={chosen.id} onChoose={setWanted} />
      )}
      <p aria-live="polite" className={`for-ears-only ${styles.ears}`}>
        {plural(shown.length, "row")}
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
