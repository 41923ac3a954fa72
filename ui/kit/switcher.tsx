import styles from "./switcher.module.css";

interface SwitcherProps<Key extends string> {
  readonly label: string;
  readonly choices: readonly { readonly key: Key; readonly name: string }[];
  readonly chosen: Key;
  readonly onChoose: (key: Key) => void;
}

/** One of a few ways to look at the same thing, all in sight. */
export function Switcher<Key extends string>({ label, choices, chosen, onChoose }: SwitcherProps<Key>) {
  return (
    <div role="group" aria-label={label} className={styles.switcher}>
      {choices.map(({ key, name }) => (
        <button
          key={key}
          type="button"
          aria-pressed={key === chosen}
          className={key === chosen ? styles.chosen : styles.choice}
          onClick={() => onChoose(key)}
        >
          {name}
        </button>
      ))}
    </div>
  );
}
