import { useId } from "react";
import styles from "./join.module.css";

interface OptionsProps<Key extends string> {
  readonly legend: string;
  readonly options: readonly Key[];
  readonly words: Readonly<Record<Key, string>>;
}

/** A question with one answer, each large enough for a thumb. */
export function OneOf<Key extends string>({
  legend,
  options,
  words,
  chosen,
  onChoose,
}: OptionsProps<Key> & { readonly chosen: Key | null; readonly onChoose: (key: Key) => void }) {
  const name = useId();
  return (
    <fieldset className={styles.question}>
      <legend>{legend}</legend>
      {options.map((key) => (
        <label key={key} className={key === chosen ? styles.chosen : styles.option}>
          <input type="radio" name={name} checked={key === chosen} onChange={() => onChoose(key)} />
          {words[key]}
        </label>
      ))}
    </fieldset>
  );
}

/** A question with any number of answers. */
export function ManyOf<Key extends string>({
  legend,
  options,
  words,
  chosen,
  onChoose,
}: OptionsProps<Key> & { readonly chosen: readonly Key[]; readonly onChoose: (keys: readonly Key[]) => void }) {
  return (
    <fieldset className={styles.question}>
      <legend>{legend}</legend>
      {options.map((key) => (
        <label key={key} className={chosen.includes(key) ? styles.chosen : styles.option}>
          <input
            type="checkbox"
            checked={chosen.includes(key)}
            onChange={({ target }) => onChoose(target.checked ? [...chosen, key] : chosen.filter((other) => other !== key))}
          />
          {words[key]}
        </label>
      ))}
    </fieldset>
  );
}
