import { Button } from "antd";
import type { ScoreReport } from "@/core/report";
import { durationWords, takenSentence } from "@/core/text";
import { practiceWords } from "@/ui/words";
import styles from "./practice.module.css";

interface ScoreCardProps {
  readonly score: ScoreReport;
  readonly isFound: boolean;
  readonly onNext: () => void;
  readonly onAgain: () => void;
}

/** How it went: what was wrong, the points, the moment that lost most, and the line that Fix takes. */
export function ScoreCard({ score, isFound, onNext, onAgain }: ScoreCardProps) {
  return (
    <section className={styles.card} aria-label={practiceWords.findTheFault} aria-live="polite">
      <h2>
        {isFound ? practiceWords.found : practiceWords.notFound}{" "}
        {isFound ? <span className={styles.points}>{practiceWords.points(score.points)}</span> : null}
      </h2>
      <p>
        <b>{practiceWords.itWas}</b> {score.fault}
      </p>
      {isFound ? <p>{score.says}</p> : null}
      {score.worst.map((sentence) => (
        <p key={sentence} className={styles.worst}>
          {sentence}
        </p>
      ))}
      <h3>{practiceWords.bestLine}</h3>
      <ol className={styles.line}>
        {score.bestLine.map(({ says, answer, minutes }, index) => (
          <li key={`${index} ${says}`}>{`${takenSentence(says, answer)} (${durationWords(minutes)})`}</li>
        ))}
      </ol>
      <div className={styles.ways}>
        <Button type="primary" onClick={onNext}>
          {practiceWords.nextRig}
        </Button>
        <Button onClick={onAgain}>{practiceWords.sameAgain}</Button>
      </div>
    </section>
  );
}
