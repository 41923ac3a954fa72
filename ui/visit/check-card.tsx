"use client";

import { Button } from "antd";
import dayjs from "dayjs";
import type { Household, JudgedAct } from "@/core/cec";
import type { Job, Seen, VisitEntry } from "@/core/job";
import { missesPossible, proofState, type ProofCheck } from "@/core/proof";
import {
  actPrediction,
  checkTitle,
  findTitleWords,
  PROOF_STATE_WORDS,
  predictionLines,
  seenWords,
  speakerPrediction,
  watchWords,
} from "@/core/text";
import { visitWords } from "@/ui/words";
import { DisplayWords } from "./display-words";
import { ActSeenChoice, RowSeenChoice, SpeakerSeenChoice } from "./seen-choice";
import { entered } from "./step-card";
import { StepExtras, useExtras } from "./step-extras";
import { Stopwatch } from "./stopwatch";
import styles from "./prove.module.css";
import type { Entered } from "./use-visit";

interface CheckCardProps {
  readonly job: Job;
  readonly jobId: string;
  readonly check: ProofCheck;
  readonly household: Household;
  readonly judged: JudgedAct | null;
  readonly screen: string | undefined;
  readonly entry: VisitEntry | undefined;
  readonly onEnter: (entered: Omit<Entered, "step">) => void;
}

/** One check, large: how to do it, what should be seen on each line, and what was seen. */
export function CheckCard({ job, jobId, check, household, judged, screen, entry, onEnter }: CheckCardProps) {
  const extras = useExtras();
  const saw = (sees: Seen) => onEnter({ state: sees === "as-predicted" ? "done" : "not-done", sees, ...entered(extras) });
  const title = checkTitle(job, check, screen);
  const device = check.check === "row" ? check.row.player : check.check === "speaker" ? check.device : null;
  return (
    <section aria-label={visitWords.thisCheck} aria-live="polite" className={styles.check}>
      <h2 dir="auto">{title}</h2>
      {entry && proofState(entry) !== "open" ? (
        <p className={styles.quiet}>
          {visitWords.seenAt(
            entry.sees ? seenWords(job, entry.sees) : PROOF_STATE_WORDS[proofState(entry)],
            dayjs(entry.at).format("D MMM, HH:mm"),
            entry.who,
          )}
          {entry.note ? ` – ${entry.note}` : ""}
        </p>
      ) : null}
      <Prediction job={job} check={check} judged={judged} />
      {check.check === "act" ? (
        <Stopwatch act={check.act} household={household} onMeasured={(value) => extras.set({ measured: { value, unit: "s" } })} />
      ) : null}
      <StepExtras jobId={jobId} device={device} about={title} extras={extras} />
      {check.check === "row" ? <RowSeenChoice onSeen={saw} /> : null}
      {check.check === "act" ? <ActSeenChoice job={job} misses={missesPossible(household, check.act)} onSeen={saw} /> : null}
      {check.check === "speaker" ? <SpeakerSeenChoice onSeen={saw} /> : null}
      <div className={styles.marks}>
        <Button type="primary" onClick={() => saw("as-predicted")}>
          {visitWords.asPredicted}
        </Button>
        <Button onClick={() => onEnter({ state: "put-off", ...entered(extras) })}>{visitWords.putOff}</Button>
        {entry && proofState(entry) !== "open" ? <Button onClick={() => onEnter({ state: "open" })}>{visitWords.lookAgain}</Button> : null}
      </div>
    </section>
  );
}

function Prediction({ job, check, judged }: Pick<CheckCardProps, "job" | "check" | "judged">) {
  switch (check.check) {
    case "row": {
      const watch = watchWords(job, check.row);
      return (
        <>
          <p>
            <b>{visitWords.find}</b> {findTitleWords(job, check.row)}
          </p>
          <dl className={styles.predicted}>
            {predictionLines(job, check.row).map(({ name, words }) => (
              <div key={name}>
                <dt>{name}</dt>
                <dd>{words}</dd>
              </div>
            ))}
          </dl>
          <DisplayWords job={job} row={check.row} />
          {watch.length ? (
            <p>
              <b>{visitWords.watch}</b> {watch.join(" ")}
            </p>
          ) : null}
        </>
      );
    }
    case "act":
      return judged ? <p>{actPrediction(job, judged)}</p> : null;
    case "speaker":
      return (
        <p>
          {speakerPrediction(check.channel)} {check.isMeasured ? visitWords.heardInRoom : ""}
        </p>
      );
  }
}
