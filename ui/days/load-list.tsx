import { daysWords } from "@/ui/words";
import styles from "./days.module.css";
import type { VisitDaysShown } from "./shown";

/** What the van takes along: its parts, what is to be bought, and tools, each once. */
export function LoadList({ days: { days, load } }: { days: VisitDaysShown }) {
  const briefs = days.flatMap(({ visits }) => visits.map(({ brief }) => brief));
  const tools = [...new Set(briefs.flatMap((brief) => brief.tools))].toSorted();
  const buy = briefs.flatMap((brief) => brief.buy.map((what) => ({ what, job: brief.name })));
  return (
    <aside className={styles.load} aria-label={daysWords.load}>
      <h2>{daysWords.load}</h2>
      {load.length === 0 && buy.length === 0 ? <p className={styles.quiet}>{daysWords.nothingToLoad}</p> : null}
      <ul className={styles.parts}>
        {load.map(({ part, count, missing, jobs }) => (
          <li key={part}>
            <b>{count} ×</b>
            <span>
              {part}
              <span className={styles.quiet}> {jobs.join(", ")}</span>
              {missing ? <span className={styles.warning}> {daysWords.missing(missing)}</span> : null}
            </span>
          </li>
        ))}
      </ul>
      {buy.length ? (
        <>
          <h3>{daysWords.buy}</h3>
          <ul className={styles.parts}>
            {buy.map(({ what, job }, index) => (
              <li key={`${job} ${what} ${index}`}>
                <b>{1} ×</b>
                <span>
                  {what}
                  <span className={styles.quiet}> {job}</span>
                </span>
              </li>
            ))}
          </ul>
        </>
      ) : null}
      {tools.length ? (
        <>
          <h3>{daysWords.tools}</h3>
          <p>{tools.join(", ")}</p>
        </>
      ) : null}
    </aside>
  );
}
