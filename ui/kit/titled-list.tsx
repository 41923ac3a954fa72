import styles from "./titled-list.module.css";

interface TitledListProps {
  readonly title: string;
  readonly lines: readonly string[];
  /** What it means that there is no line; null: then nothing is said at all. */
  readonly none: string | null;
}

/** Lines under a heading. */
export function TitledList({ title, lines, none }: TitledListProps) {
  if (lines.length === 0 && none === null) return null;
  return (
    <section className={styles.part}>
      <h3>{title}</h3>
      {lines.length ? (
        <ul className={styles.lines}>
          {lines.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      ) : (
        <p className={styles.none}>{none}</p>
      )}
    </section>
  );
}
