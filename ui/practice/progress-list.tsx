import { LEVELS } from "@/core/practice";
import { LEVEL_WORDS } from "@/core/text";
import { practiceWords } from "@/ui/words";
import styles from "./practice.module.css";
import type { Finished } from "./progress";

/** What one person has practised on this device: rigs by ladder, and wirings. */
export function ProgressList({ finished }: { readonly finished: readonly Finished[] }) {
  const lines = [
    ...LEVELS.map((level) => ({
      name: LEVEL_WORDS[level],
      rigs: finished.filter((one) => one.exercise === "find" && one.level === level),
    })),
    { name: practiceWords.wireIt, rigs: finished.filter(({ exercise }) => exercise === "wire") },
  ].filter(({ rigs }) => rigs.length > 0);
  const average = (rigs: readonly Finished[]) => Math.round(rigs.reduce((sum, { points }) => sum + points, 0) / rigs.length);
  return (
    <section aria-label={practiceWords.progress} className={styles.progress}>
      <h3>{practiceWords.progress}</h3>
      {lines.length ? (
        <ul>
          {lines.map(({ name, rigs }) => (
            <li key={name}>{practiceWords.progressLine(name, rigs.length, average(rigs))}</li>
          ))}
        </ul>
      ) : (
        <p className={styles.quiet}>{practiceWords.noProgress}</p>
      )}
    </section>
  );
}
