"use client";

import { Button } from "antd";
import { useMemo, useState } from "react";
import { solveAgain } from "@/core/chain";
import { applyCommand, type Job } from "@/core/job";
import { excludesEachOther, movedRows, together, type Change, type WeighedChange } from "@/core/plan";
import { changeWords, movedWords, proofSentence, refusalSentence, tieWords } from "@/core/text";
import { useIntents, useJob, type Changes } from "@/ui/job";
import { WorkNote } from "@/ui/kit";
import styles from "./changes.module.css";
import { ControlCures } from "./control-cures";
import { arrivalsWords } from "@/ui/words";

const keyOf = ({ command }: Change): string => JSON.stringify(command);

/** The smallest set of changes and every single one that moves something: tick to try them together, apply with one undo. */
export function ChangesView({ changes: { single, smallest, working } }: { changes: Changes }) {
  const job = useJob((state) => state.job);
  const [ticked, setTicked] = useState<{ readonly job: Job; readonly changes: readonly Change[] }>({ job, changes: [] });
  // Ticks belong to the job they were made on; after an edit they would mean something else.
  const chosen = ticked.job === job ? ticked.changes : [];
  const isTicked = (change: Change) => chosen.some((one) => keyOf(one) === keyOf(change));
  const tick = (change: Change, on: boolean) =>
    setTicked({ job, changes: on ? [...chosen, change] : chosen.filter((one) => keyOf(one) !== keyOf(change)) });
  const set = smallest?.best.changes ?? [];
  const inSet = new Set(set.map(keyOf));
  const others = (single ?? []).filter((change) => !inSet.has(keyOf(change)));
  const line = (change: Change | WeighedChange) => (
    <ChangeLine
      key={keyOf(change)}
      change={change}
      checked={isTicked(change)}
      against={chosen.find((one) => keyOf(one) !== keyOf(change) && excludesEachOther(one, change)) ?? null}
      onTick={(on) => tick(change, on)}
    />
  );
  return (
    <div className={styles.changes}>
      <section aria-label={arrivalsWords.theSmallestSet}>
        <h3>{arrivalsWords.smallestSetThatLifts}</h3>
        {smallest ? null : <WorkNote working={working} words={arrivalsWords.tryingSetsOfChanges} />}
        {smallest ? <p className={styles.quiet}>{[proofSentence(smallest), tieWords(job, smallest)].filter(Boolean).join(" ")}</p> : null}
        <ul>{set.map(line)}</ul>
        {set.length > 1 ? (
          <Button size="small" onClick={() => setTicked({ job, changes: set })}>
            {arrivalsWords.tickAllOfTheSet}
          </Button>
        ) : null}
      </section>
      <ControlCures />
      <section aria-label={arrivalsWords.everySingleChange}>
        <h3>{arrivalsWords.everyChangeThatMoves}</h3>
        {single ? null : <WorkNote working={working} words={arrivalsWords.tryingEverySingleChange} />}
        {single && others.length === 0 ? <p className={styles.quiet}>{arrivalsWords.nothingElseMoves}</p> : null}
        <ul>{others.map(line)}</ul>
      </section>
      <Trial chosen={chosen} onApplied={() => setTicked({ job, changes: [] })} />
    </div>
  );
}

interface ChangeLineProps {
  readonly change: Change | WeighedChange;
  readonly checked: boolean;
  /** A ticked change that decides the same thing. */
  readonly against: Change | null;
  readonly onTick: (on: boolean) => void;
}

function ChangeLine({ change, checked, against, onTick }: ChangeLineProps) {
  const job = useJob((state) => state.job);
  return (
    <li>
      <label className={against ? styles.excluded : styles.change}>
        <input type="checkbox" checked={checked} disabled={against !== null} onChange={(event) => onTick(event.target.checked)} />
        <span>
          {changeWords(job, change)}
          {against ? (
            <i>{arrivalsWords.notTogetherWith(changeWords(job, against))}</i>
          ) : "lifts" in change ? (
            <i>{movedWords(change)}</i>
          ) : null}
        </span>
      </label>
    </li>
  );
}

/** What the ticked changes do together, before they are made. */
function Trial({ chosen, onApplied }: { chosen: readonly Change[]; onApplied: () => void }) {
  const job = useJob((state) => state.job);
  const solved = useJob((state) => state.solved);
  const { edit } = useIntents();
  const trial = useMemo(() => {
    const made = together(job, chosen);
    if (!made.ok) return made;
    const applied = applyCommand(job, made.value);
    return applied.ok
      ? { ok: true as const, value: { command: made.value, moved: movedRows(solved.rows, solveAgain(solved, applied.value.job).rows) } }
      : applied;
  }, [job, solved, chosen]);
  return (
    <div className={styles.trial} role="status">
      {chosen.length === 0 ? (
        <span className={styles.quiet}>{arrivalsWords.tickToTry}</span>
      ) : trial.ok ? (
        <>
          <span>
            <b>{arrivalsWords.changesTogether(chosen.length)}</b> {movedWords(trial.value.moved) || arrivalsWords.movesNothing}
          </span>
          <Button
            type="primary"
            onClick={() => {
              if (edit(trial.value.command)) onApplied();
            }}
          >
            {arrivalsWords.apply(chosen.length)}
          </Button>
        </>
      ) : (
        <span className={styles.trouble}>{arrivalsWords.cannotBeMadeTogether(refusalSentence(job, trial.refusal))}</span>
      )}
    </div>
  );
}
