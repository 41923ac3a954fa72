"use client";

import dayjs from "dayjs";
import Link from "next/link";
import { useMemo } from "react";
import type { FirmFaults } from "@/core/diagnose";
import { dueOf, visitsOf } from "@/core/handover";
import type { Job } from "@/core/job";
import { dueSentence, faultIdWords, visitSentence } from "@/core/text";
import type { Visit } from "@/ui/visit";
import { handoverWords } from "@/ui/words";
import { CallBack } from "./call-back";
import { EventList } from "./event-list";
import styles from "./handover.module.css";

const shownDay = (day: string): string => dayjs(day).format("D MMM YYYY");

interface VisitsViewProps {
  readonly job: Job;
  readonly visit: Visit;
  readonly firm: FirmFaults;
}

/** Every visit of the job, what is due, what was written down, and the call-back. */
export function VisitsView({ job, visit, firm }: VisitsViewProps) {
  const { entries } = visit.record;
  const visits = useMemo(() => visitsOf(entries), [entries]);
  const due = useMemo(() => dueOf(job, entries), [job, entries]);
  const today = dayjs().format("YYYY-MM-DD");
  return (
    <div className={styles.columns}>
      <div>
        <section aria-label={handoverWords.visits}>
          <h3>{handoverWords.visits}</h3>
          {visits.length ? null : <p className={styles.quiet}>{handoverWords.noVisits}</p>}
          <ol className={styles.visits}>
            {visits.map((one, index) => (
              <li key={one.day}>
                <b>{shownDay(one.day)}</b>
                <span>{visitSentence(one)}</span>
                {one.note ? <span>{one.note}</span> : null}
                {one.faults.map((fault) => (
                  <span key={fault}>{faultIdWords(job, fault)}</span>
                ))}
                <CompareLinks job={job} snapshot={one.snapshot} earlier={visits[index - 1]?.snapshot ?? null} />
              </li>
            ))}
          </ol>
        </section>
        <section aria-label={handoverWords.due}>
          <h3>{handoverWords.due}</h3>
          {due.length ? null : <p className={styles.quiet}>{handoverWords.nothingDue}</p>}
          <ul className={styles.visits}>
            {due.map((one) => (
              <li key={`${one.on} ${dueSentence(job, one)}`}>
                <b>{shownDay(one.on)}</b>
                <span>
                  {dueSentence(job, one)}
                  {one.on < today ? <i className={styles.late}> {handoverWords.overdue}</i> : null}
                </span>
              </li>
            ))}
          </ul>
        </section>
        <EventList job={job} visit={visit} />
      </div>
      <CallBack job={job} visit={visit} firm={firm} lastVisit={visits.at(-1) ?? null} />
    </div>
  );
}

/** The room as a visit left it beside the room now, and beside the visit before. */
function CompareLinks({
  job,
  snapshot,
  earlier,
}: {
  readonly job: Job;
  readonly snapshot: string | null;
  readonly earlier: string | null;
}) {
  const isKept = (id: string | null): id is string => id !== null && job.snapshots.some((one) => one.id === id);
  if (!isKept(snapshot)) return null;
  const before = isKept(earlier) ? job.snapshots.find(({ id }) => id === earlier) : undefined;
  return (
    <span className={styles.links}>
      <Link href={`arrivals?view=compare&left=${snapshot}&right=now`}>{handoverWords.compareWithNow}</Link>
      {before ? (
        <Link href={`arrivals?view=compare&left=${before.id}&right=${snapshot}`}>
          {handoverWords.compareWith(shownDay(before.id.replace("visit-", "")))}
        </Link>
      ) : null}
    </span>
  );
}
