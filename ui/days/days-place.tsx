"use client";

import { Button } from "antd";
import dayjs from "dayjs";
import { CalendarPlus, ChevronLeft, ChevronRight, Printer } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { durationWords, timeOfDay, tooEarlyWords } from "@/core/text";
import { OutsideFrame } from "@/ui/frame";
import { EmptyPlace, Switcher } from "@/ui/kit";
import { daysWords } from "@/ui/words";
import styles from "./days.module.css";
import { DueList, type DueShown } from "./due-list";
import { LoadList } from "./load-list";
import type { DayVisitShown, VisitDaysShown } from "./shown";

const SPANS = [
  { key: "1", name: daysWords.oneDay },
  { key: "7", name: daysWords.aWeek },
] as const;

interface DaysPlaceProps {
  readonly from: string;
  readonly days: number;
  /** Null where the server did not get through in time. */
  readonly planned: VisitDaysShown | null;
  readonly due: readonly DueShown[];
  readonly today: string;
}

/** The visits of a day or a week in their order, and what the van is loaded with for them. */
export function DaysPlace({ from, days, planned, due, today }: DaysPlaceProps) {
  const router = useRouter();
  const go = (to: { readonly from?: string; readonly days?: string }) =>
    router.push(`/days?${new URLSearchParams({ from, days: String(days), ...to }).toString()}`);
  const step = (by: number) =>
    go({
      from: dayjs(from)
        .add(by * days, "day")
        .format("YYYY-MM-DD"),
    });
  return (
    <OutsideFrame>
      <main className={styles.days}>
        <header className={styles.head}>
          <Button
            icon={<ChevronLeft size={18} aria-hidden />}
            aria-label={daysWords.before}
            title={daysWords.before}
            onClick={() => step(-1)}
          />
          <input
            className="native-field"
            type="date"
            aria-label={daysWords.firstDay}
            value={from}
            onChange={(event) => (event.target.value ? go({ from: event.target.value }) : undefined)}
          />
          <Button
            icon={<ChevronRight size={18} aria-hidden />}
            aria-label={daysWords.after}
            title={daysWords.after}
            onClick={() => step(1)}
          />
          <Switcher label={daysWords.span} choices={SPANS} chosen={days === 7 ? "7" : "1"} onChoose={(span) => go({ days: span })} />
          <span className={styles.ways}>
            <Button
              icon={<CalendarPlus size={16} aria-hidden />}
              href={`/api/days/calendar?from=${from}&days=${days}`}
              disabled={!planned?.days.length}
            >
              {daysWords.calendar}
            </Button>
            <Button icon={<Printer size={16} aria-hidden />} onClick={() => window.print()}>
              {daysWords.print}
            </Button>
          </span>
        </header>
        {planned === null ? <p role="alert">{daysWords.tookTooLong}</p> : null}
        {planned?.days.length === 0 ? <NoVisit next={planned.next} onGo={(day) => go({ from: day })} /> : null}
        {planned && planned.days.length > 0 ? (
          <div className={styles.columns}>
            <div>
              {planned.days.map(({ day, visits }) => (
                <section key={day} aria-label={dayjs(day).format("dddd, D MMMM")}>
                  <h2>{dayjs(day).format("dddd, D MMMM")}</h2>
                  <ol className={styles.visits}>
                    {visits.map((visit) => (
                      <VisitLine key={visit.id} visit={visit} />
                    ))}
                  </ol>
                </section>
              ))}
              {planned.more > 0 ? <p className={styles.quiet}>{daysWords.more(planned.more)}</p> : null}
            </div>
            <LoadList days={planned} />
          </div>
        ) : null}
        <DueList due={due} today={today} />
      </main>
    </OutsideFrame>
  );
}

/** Days without a visit lead on to the next day that has one. */
const NoVisit = ({ next, onGo }: { next: string | null; onGo: (day: string) => void }) => (
  <EmptyPlace heading={daysWords.noVisit} words={daysWords.noVisitWords}>
    {next ? <Button onClick={() => onGo(next)}>{daysWords.nextVisit(dayjs(next).format("dddd, D MMMM YYYY"))}</Button> : null}
  </EmptyPlace>
);

/** A visit in its day: when, where, how long, and what is to be asked. */
function VisitLine({ visit }: { visit: DayVisitShown }) {
  const { id, brief, from, to, isAgreed, short } = visit;
  const { agreedMinutes, minutes, people, proof, checks } = brief;
  return (
    <li className={styles.visit}>
      <span className={styles.time}>
        {timeOfDay(from)}
        <span>{timeOfDay(to)}</span>
      </span>
      <div>
        <h3 dir="auto">
          <Link href={`/jobs/${id}/runsheet`}>{brief.name}</Link>
        </h3>
        <p dir="auto">{[brief.customer, brief.address].filter(Boolean).join(", ") || daysWords.noAddress}</p>
        <p className={styles.quiet}>
          {isAgreed ? daysWords.agreed : daysWords.notAgreed} {daysWords.work(brief.stepsLeft, durationWords(minutes), people)}{" "}
          {proof.proven ? daysWords.proven(proof.proven, checks) : ""}
        </p>
        {short > 0 ? <p className={styles.warning}>{tooEarlyWords(short)}</p> : null}
        {agreedMinutes !== null && minutes > agreedMinutes ? (
          <p className={styles.warning}>{daysWords.longer(durationWords(minutes - agreedMinutes), durationWords(agreedMinutes))}</p>
        ) : null}
        {brief.questions.length ? (
          <details>
            <summary>{daysWords.questions(brief.questions.length)}</summary>
            <ul>
              {brief.questions.map((question) => (
                <li key={question}>{question}</li>
              ))}
            </ul>
          </details>
        ) : null}
      </div>
    </li>
  );
}
