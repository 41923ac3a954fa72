import { chanceWords } from "@/core/text";
import type { DiagnoseReport } from "@/core/report";
import { fixWords } from "@/ui/words";
import styles from "./fix.module.css";

/** So many suspects are named; the rest is one line. */
const NAMED = 6;

/** Who is suspected, each with its weight as a bar that shrinks and grows with every answer. */
export function Suspects({ suspects }: Pick<DiagnoseReport, "suspects">) {
  const named = suspects.slice(0, NAMED);
  const rest = suspects.slice(NAMED).reduce((sum, { probability }) => sum + probability, 0);
  return (
    <section aria-label={fixWords.suspects} className={styles.suspects}>
      <h3>{fixWords.suspects}</h3>
      <ul>
        {named.map(({ fault, says, probability }) => (
          <li key={fault}>
            <span className={styles.chance}>{chanceWords(probability)}</span>
            <span>
              {says}
              <span className={styles.bar} style={{ inlineSize: `${Math.max(0.5, probability * 100)}%` }} aria-hidden />
            </span>
          </li>
        ))}
      </ul>
      {rest > 0.005 ? <p className={styles.quiet}>{fixWords.rest(chanceWords(rest))}</p> : null}
    </section>
  );
}
