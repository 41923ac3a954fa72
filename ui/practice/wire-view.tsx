"use client";

import { Button } from "antd";
import { useMemo, useState } from "react";
import type { Arrival } from "@/core/chain";
import { applyCommand, endKey, type Command, type Job } from "@/core/job";
import { outputsToWire, type OutputToWire } from "@/core/practice";
import { deviceName, reasonSentence, rowWords, socketName, socketPrint, verdictWords } from "@/core/text";
import { SuspectMap } from "@/ui/fix";
import { Choice } from "@/ui/kit";
import { practiceWords } from "@/ui/words";
import type { WiringShown } from "@/workers/practice-worker";
import { inPracticeWorker } from "./in-practice-worker";
import styles from "./practice.module.css";

const NOWHERE = "nowhere";

interface WireViewProps {
  readonly bare: Job;
  readonly onScored: (points: number) => void;
  readonly onNext: () => void;
  readonly onAgain: () => void;
}

/** A room to be wired by hand: where each output goes, and in the end how much arrives against the proven best plan. */
export function WireView({ bare, onScored, onNext, onAgain }: WireViewProps) {
  const [job, setJob] = useState(bare);
  const [score, setScore] = useState<WiringShown | "working" | "failed" | null>(null);
  const outputs = useMemo(() => outputsToWire(job), [job]);
  const shown = score !== null && typeof score === "object" ? score : null;
  const make = (commands: readonly Command[]) => {
    const applied = commands.reduce<Job | null>((current, command) => {
      const next = current && applyCommand(current, command);
      return next?.ok ? next.value.job : null;
    }, job);
    if (applied) setJob(applied);
  };
  const askScore = async () => {
    setScore("working");
    const found = await inPracticeWorker((api) => api.scoreWiring(job, bare));
    setScore(found ?? "failed");
    if (found) onScored(found.points);
  };
  return (
    <div className={styles.rig}>
      <div className={styles.work}>
        {shown ? (
          <section className={styles.card} aria-label={practiceWords.wireIt} aria-live="polite">
            <h2>
              {practiceWords.wired} <span className={styles.points}>{practiceWords.points(shown.points)}</span>
            </h2>
            <p>{shown.isProven ? practiceWords.bestProven : practiceWords.bestFound}</p>
            <table className={styles.rows}>
              <thead>
                <tr>
                  <th scope="col">{practiceWords.rowHead}</th>
                  <th scope="col">{practiceWords.yours}</th>
                  <th scope="col">{practiceWords.bestPlan}</th>
                </tr>
              </thead>
              <tbody>
                {shown.rows.map(({ own, best }) => (
                  <tr key={best.id}>
                    <th scope="row">
                      {deviceName(bare, best.player)}: {rowWords(best)}
                    </th>
                    <td>
                      <Verdict job={shown.own} row={own} isLost={own.verdict !== best.verdict} />
                    </td>
                    <td>{verdictWords(best)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <h3>{practiceWords.bestWiring}</h3>
            <ul className={styles.line}>
              {shown.best.cables.map((cable) => (
                <li key={cable.id}>{practiceWords.wire(socketName(shown.best, cable.from), socketName(shown.best, cable.to))}</li>
              ))}
            </ul>
            <div className={styles.ways}>
              <Button type="primary" onClick={onNext}>
                {practiceWords.nextRoom}
              </Button>
              <Button onClick={onAgain}>{practiceWords.sameAgain}</Button>
            </div>
          </section>
        ) : (
          <section className={styles.steps} aria-label={practiceWords.wireIt}>
            <h3>{practiceWords.whereGoes}</h3>
            <ul>
              {outputs.map((output) => (
                <li key={endKey(output.end)} className={styles.output}>
                  <span>
                    {deviceName(job, output.end.device)} <b>{socketPrint(job, output.end)}</b>
                  </span>
                  <OutputChoice job={job} output={output} onMake={make} />
                </li>
              ))}
            </ul>
            <div className={styles.ways}>
              <Button type="primary" disabled={score === "working"} onClick={() => void askScore()}>
                {practiceWords.scoreIt}
              </Button>
              <span role="status">{score === "working" ? practiceWords.planning : score === "failed" ? practiceWords.failed : ""}</span>
            </div>
          </section>
        )}
      </div>
      <div className={styles.beside}>
        <SuspectMap job={shown ? shown.best : job} suspects={[]} />
        <p className={styles.quiet}>{shown ? practiceWords.mapOfBest : practiceWords.menusWords}</p>
      </div>
    </div>
  );
}

/** A verdict, and on opening it why no more arrives. */
function Verdict({ job, row, isLost }: { readonly job: Job; readonly row: Arrival; readonly isLost: boolean }) {
  const reasons = row.losses.filter(({ scope }) => scope === "path").map(({ reason }) => reasonSentence(job, reason));
  const words = <span className={isLost ? styles.lost : undefined}>{verdictWords(row)}</span>;
  if (reasons.length === 0) return words;
  return (
    <details>
      <summary>{words}</summary>
      <p>{reasons.join(" ")}</p>
    </details>
  );
}

interface OutputChoiceProps {
  readonly job: Job;
  readonly output: OutputToWire;
  readonly onMake: (commands: readonly Command[]) => void;
}

function OutputChoice({ job, output, onMake }: OutputChoiceProps) {
  const { end, cable, goesTo, open } = output;
  const unplug: readonly Command[] = cable === null ? [] : [{ kind: "unplug", cable }];
  const choose = (key: string) => {
    if (key === NOWHERE) return onMake(unplug);
    const join = open.find(({ to }) => endKey(to) === key);
    if (join) onMake([...unplug, join.command]);
  };
  return (
    <Choice
      label={practiceWords.goesTo(socketName(job, end))}
      value={goesTo ? endKey(goesTo) : NOWHERE}
      options={[
        { value: NOWHERE, label: practiceWords.nowhere },
        ...(goesTo ? [{ value: endKey(goesTo), label: socketName(job, goesTo) }] : []),
        ...open.map(({ to }) => ({ value: endKey(to), label: socketName(job, to) })),
      ]}
      onChange={choose}
    />
  );
}
