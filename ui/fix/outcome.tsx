import { Button } from "antd";
import type { Command } from "@/core/job";
import type { DiagnoseReport } from "@/core/report";
import { UNEXPLAINED_SENTENCE } from "@/core/text";
import { fixWords } from "@/ui/words";
import styles from "./fix.module.css";

interface MendedProps {
  readonly report: DiagnoseReport;
  /** What the cure changes in the job; null where the job is right as it is planned. */
  readonly edit: Command | null;
  readonly onFound: (fault: string) => void;
  readonly onGoOn: () => void;
}

/** So many of the faults that one cure mends are named; the others are too unlikely. */
const NAMED = 5;

/** The cure that helped: what it costs, and what it was. A person saw that with their own eyes; saying it ends the search. */
export function Mended({ report, edit, onFound, onGoOn }: MendedProps) {
  const { cure, suspects } = report;
  const mends = new Set(cure?.mends ?? []);
  return (
    <section className={styles.card} aria-label={fixWords.mended} aria-live="polite">
      <h2>{fixWords.whatWasIt}</h2>
      {cure?.price ? (
        <p>
          <b>{fixWords.price}</b> {cure.price}
        </p>
      ) : null}
      <p className={styles.quiet}>{edit ? fixWords.notedInJob : fixWords.nothingToNote}</p>
      <div className={styles.answers}>
        {suspects
          .filter(({ fault }) => mends.has(fault))
          .slice(0, NAMED)
          .map(({ fault, says }, index) => (
            <Button key={fault} type={index === 0 ? "primary" : "default"} className={styles.answer ?? ""} onClick={() => onFound(fault)}>
              {says}
            </Button>
          ))}
        <Button className={styles.answer ?? ""} onClick={onGoOn}>
          {fixWords.cameBack}
        </Button>
      </div>
    </section>
  );
}

/** Nothing explains what was seen, or nothing more helps: what to write down. */
export function Unexplained({ onBack, onGiveUp }: { readonly onBack: (() => void) | null; readonly onGiveUp: () => void }) {
  return (
    <section className={styles.card} aria-label={fixWords.unexplained} aria-live="polite">
      <h2>{fixWords.unexplained}</h2>
      <p>{UNEXPLAINED_SENTENCE}</p>
      <div className={styles.ways}>
        {onBack ? <Button onClick={onBack}>{fixWords.back}</Button> : null}
        <Button onClick={onGiveUp}>{fixWords.giveUp}</Button>
      </div>
    </section>
  );
}
