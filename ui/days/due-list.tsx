"use client";

import { Button } from "antd";
import dayjs from "dayjs";
import { CalendarPlus } from "lucide-react";
import Link from "next/link";
import { daysWords } from "@/ui/words";
import styles from "./days.module.css";

/** Something due in a job, as the server tells it. */
export interface DueShown {
  readonly id: string;
  readonly job: string;
  readonly name: string;
  readonly on: string;
  readonly says: string;
}

/** What is due across all jobs: firmware, batteries, promised visits; and the same as a calendar file. */
export function DueList({ due, today }: { readonly due: readonly DueShown[]; readonly today: string }) {
  return (
    <section className={styles.due} aria-label={daysWords.due}>
      <header>
        <h2>{daysWords.due}</h2>
        {due.length ? (
          <Button size="small" icon={<CalendarPlus size={16} aria-hidden />} href="/api/due/calendar?months=12" download>
            {daysWords.dueCalendar}
          </Button>
        ) : null}
      </header>
      {due.length ? null : <p className={styles.quiet}>{daysWords.nothingDue}</p>}
      <ul>
        {due.map(({ id, job, name, on, says }) => (
          <li key={id}>
            <b>
              {dayjs(on).format("D MMM YYYY")}
              {on < today ? <i className={styles.warning}>{daysWords.overdue}</i> : null}
            </b>
            <span>
              <Link href={`/jobs/${job}/handover?view=visits`} dir="auto">
                {name}
              </Link>{" "}
              {says}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
