"use client";

import dayjs from "dayjs";
import { useMemo } from "react";
import { householdOf } from "@/core/cec";
import type { Arrival } from "@/core/chain";
import type { Job, VisitEntry } from "@/core/job";
import { checkState, proofChecks, toCount, type ProofCheck, type ProofState } from "@/core/proof";
import { arrivalSentence, checkTitle, playedWords, screenOf, seenWords } from "@/core/text";
import { lastEntries } from "@/core/visit";
import { CordThumbnail, VerdictMark } from "@/ui/kit";
import { ProofShape, useVisit } from "@/ui/visit";
import { arrivalsWords } from "@/ui/words";
import styles from "./compare.module.css";

interface ProvenCompareProps {
  readonly jobId: string;
  readonly job: Job;
  readonly board: readonly Arrival[];
  /** What was proven is on the left, and what is predicted on the right. */
  readonly provenLeft: boolean;
}

/** A state of the job beside what was seen on site: what was seen otherwise is raised, and what nobody looked at is counted. */
export function ProvenCompare({ jobId, job, board, provenLeft }: ProvenCompareProps) {
  const { record } = useVisit(jobId);
  const household = useMemo(() => householdOf(job, "planned"), [job]);
  const checks = useMemo(() => proofChecks(job, household, board), [job, household, board]);
  const last = useMemo(() => lastEntries(record.entries), [record]);
  const screen = screenOf(household);
  const of = (state: ProofState) => checks.filter((check) => checkState(toCount(check), last.get(check.id)) === state);
  const otherwise = of("otherwise");
  return (
    <>
      <p className={styles.none} role="status">
        {arrivalsWords.provenOf(of("proven").length, otherwise.length, of("open").length + of("put-off").length)}
      </p>
      <ol>
        {otherwise.map((check) => {
          const [predicted, seen] = [
            <Predicted key="predicted" job={job} check={check} />,
            <Seen key="seen" job={job} entry={last.get(check.id)} />,
          ];
          return (
            <li key={check.id} className={styles.line}>
              <span className={styles.who}>
                <b dir="auto">{checkTitle(job, check, screen)}</b>
                <i>{arrivalsWords.seenOtherwise}</i>
              </span>
              {provenLeft ? [seen, predicted] : [predicted, seen]}
            </li>
          );
        })}
      </ol>
    </>
  );
}

function Predicted({ job, check }: { job: Job; check: ProofCheck }) {
  if (check.check !== "row") return <span className={styles.absent}>{arrivalsWords.asPredicted}</span>;
  const { row } = check;
  return (
    <span className={styles.side}>
      <CordThumbnail arrival={row} label={arrivalSentence(job, row)} width={150} />
      <span>
        <VerdictMark row={row} />
        <span>{playedWords(row.plays, row.arrives)}</span>
      </span>
    </span>
  );
}

function Seen({ job, entry }: { job: Job; entry: VisitEntry | undefined }) {
  if (!entry?.sees) return null;
  return (
    <span className={styles.side}>
      <span>
        <b>
          <ProofShape state="otherwise" /> {seenWords(job, entry.sees)}
        </b>
        <span>{[dayjs(entry.at).format("D MMM, HH:mm"), entry.who, entry.note].filter(Boolean).join(", ")}</span>
      </span>
    </span>
  );
}
