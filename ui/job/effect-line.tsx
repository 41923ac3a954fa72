"use client";

import { Button } from "antd";
import { Redo2, Undo2 } from "lucide-react";
import { deviceName, rowWords, verdictWords } from "@/core/text";
import { VerdictShape } from "@/ui/kit";
import styles from "./effect-line.module.css";
import { useIntents, useJob } from "./job-context";
import { jobWords } from "@/ui/words";

/** What the last edit did to the board, on whatever page it was made, with the way back. */
export function EffectLine() {
  const effect = useJob((state) => state.effect);
  const done = useJob((state) => state.done.at(-1));
  const undone = useJob((state) => state.undone.at(-1));
  const { undo, redo } = useIntents();
  return (
    <div className={styles.line}>
      <span className={styles.steps}>
        <Button
          icon={<Undo2 size={16} aria-hidden />}
          disabled={!done}
          onClick={undo}
          aria-label={done ? jobWords.undo(done.words) : jobWords.nothingToUndo}
          title={done ? jobWords.undo(done.words) : jobWords.nothingToUndo}
        />
        <Button
          icon={<Redo2 size={16} aria-hidden />}
          disabled={!undone}
          onClick={redo}
          aria-label={undone ? jobWords.redo(undone.words) : jobWords.nothingToRedo}
          title={undone ? jobWords.redo(undone.words) : jobWords.nothingToRedo}
        />
      </span>
      <div aria-live="polite" className={styles.words}>
        {effect ? (
          <>
            <b>{effect.words}</b>
            <Moved />
          </>
        ) : (
          <BoardTally />
        )}
      </div>
    </div>
  );
}

function Moved() {
  const effect = useJob((state) => state.effect);
  const job = useJob((state) => state.job);
  const board = useJob((state) => state.board);
  if (!effect) return null;
  const moved = [...effect.lowers, ...effect.lifts].flatMap((id) => board.filter((arrival) => arrival.id === id));
  const [first, ...rest] = moved;
  if (!first) return <span className={styles.quiet}>{jobWords.boardStays}</span>;
  const was = effect.before.find(({ id }) => id === first.id);
  return (
    <span className={styles.moved}>
      {deviceName(job, first.player)}, {rowWords(first)}: {was ? `${verdictWords(was)} → ` : ""}
      <VerdictShape verdict={first.verdict} size={13} /> {verdictWords(first)}
      {rest.length ? jobWords.andMore(rest.length) : ""}
    </span>
  );
}

function BoardTally() {
  const board = useJob((state) => state.board);
  if (board.length === 0) return <span className={styles.quiet}>{jobWords.nothingPlaysHereYet}</span>;
  const whole = board.filter(({ verdict }) => verdict === "full").length;
  return <span className={styles.quiet}>{jobWords.wholeOf(whole, board.length)}</span>;
}
