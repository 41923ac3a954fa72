"use client";

import { Check, Hand, RefreshCw, X } from "lucide-react";
import { useEffect, useRef } from "react";
import { eventOf, type ActVerdict, type JudgedAct } from "@/core/cec";
import { ACT_VERDICT_WORDS, actWords, upperFirst } from "@/core/text";
import { useJob } from "@/ui/job";
import { controlWords } from "@/ui/words";
import styles from "./control.module.css";

const SHAPES = { "as-wished": Check, "with-a-step": Hand, fails: X, unstable: RefreshCw } as const satisfies Record<
  ActVerdict["verdict"],
  unknown
>;

/** A verdict as a shape and its word. */
export function ActVerdictMark({ verdict }: { verdict: ActVerdict["verdict"] }) {
  const Shape = SHAPES[verdict];
  return (
    <span className={styles[verdict]}>
      <Shape size={16} aria-hidden /> {ACT_VERDICT_WORDS[verdict]}
    </span>
  );
}

interface ActListProps {
  readonly all: readonly JudgedAct[];
  readonly screen: string | undefined;
  readonly chosen: string | null;
  readonly onChoose: (event: string) => void;
}

/** What the household does every day, and how each ends. */
export function ActList({ all, screen, chosen, onChoose }: ActListProps) {
  const job = useJob((state) => state.job);
  const list = useRef<HTMLDivElement>(null);
  // The chosen act stays in sight; the page itself does not move.
  useEffect(() => {
    const [box, row] = [list.current, list.current?.querySelector<HTMLElement>("[aria-pressed=true]")];
    if (box && row) box.scrollTop = Math.max(0, row.offsetTop - box.clientHeight / 2);
  }, [chosen]);
  const seconds = (ms: number | null) => (ms === null ? "" : controlWords.wholeSeconds(ms / 1000));
  return (
    <div className={styles.actList} ref={list} tabIndex={0} role="region" aria-label={controlWords.acts}>
      <table className={styles.acts}>
        <thead>
          <tr>
            <th>{controlWords.act}</th>
            <th>{controlWords.picture}</th>
            <th>{controlWords.sound}</th>
            <th>{controlWords.ends}</th>
          </tr>
        </thead>
        <tbody>
          {all.map(({ act, verdict, pictureMs, soundMs }) => {
            const event = eventOf(act);
            return (
              <tr key={event} className={event === chosen ? styles.actChosen : undefined} data-act={event} data-verdict={verdict.verdict}>
                <th scope="row">
                  <button type="button" aria-pressed={event === chosen} onClick={() => onChoose(event)}>
                    {upperFirst(actWords(job, act, screen))}
                  </button>
                </th>
                <td>{seconds(pictureMs)}</td>
                <td>{seconds(soundMs)}</td>
                <td>
                  <ActVerdictMark verdict={verdict.verdict} />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
