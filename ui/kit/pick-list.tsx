"use client";

import { Input } from "antd";
import { useId, useState, type KeyboardEvent } from "react";
import styles from "./pick-list.module.css";
import { fetchSearch, useFinder } from "./use-finder";

export interface PickRow {
  readonly key: string;
  readonly name: string;
  readonly detail: string;
  /** A row that cannot be picked is last and says why in its detail. */
  readonly refused?: boolean;
}

interface PickListProps {
  readonly label: string;
  readonly listLabel: string;
  readonly placeholder: string;
  readonly rows: readonly PickRow[];
  readonly nothing: string;
  readonly onPick: (key: string) => void;
  /** Told of every letter, for rows that come from elsewhere. */
  readonly onWords?: (words: string) => void;
}

/** Pick from a list by typing a word, arrows and Enter, or by a press. */
export function PickList({ label, listLabel, placeholder, rows, nothing, onPick, onWords }: PickListProps) {
  const id = useId();
  const [words, setWords] = useState("");
  const [at, setAt] = useState(0);
  const find = useFinder(rows);
  const found = find ? find(words) : rows;
  const open = found.filter((row) => !row.refused);
  const marked = open[Math.min(at, Math.max(0, open.length - 1))];
  const onKey = (event: KeyboardEvent) => {
    const step = event.key === "ArrowDown" ? 1 : event.key === "ArrowUp" ? -1 : 0;
    if (step && open.length) {
      event.preventDefault();
      setAt((Math.min(at, open.length - 1) + step + open.length) % open.length);
    } else if (event.key === "Enter" && !find) {
      event.preventDefault();
      void pickBeforeSearch();
    } else if (event.key === "Enter" && marked) {
      event.preventDefault();
      onPick(marked.key);
    }
  };
  /** Someone types faster than searching is fetched: what the words mean is picked once it is there. */
  const pickBeforeSearch = async () => {
    const { makeFinder } = await fetchSearch();
    const meant = makeFinder(rows)(words).filter((row) => !row.refused);
    const picked = meant[Math.min(at, meant.length - 1)];
    if (picked) onPick(picked.key);
  };
  return (
    <div className={styles.pick}>
      <Input
        autoFocus
        role="combobox"
        aria-expanded
        aria-controls={`${id}-rows`}
        aria-activedescendant={marked ? `${id}-${marked.key}` : undefined}
        aria-label={label}
        placeholder={placeholder}
        value={words}
        onChange={(event) => {
          setWords(event.target.value);
          onWords?.(event.target.value);
          setAt(0);
        }}
        onKeyDown={onKey}
      />
      {found.length ? (
        <ul id={`${id}-rows`} role="listbox" aria-label={listLabel} className={styles.rows}>
          {found.map((row) => (
            <li
              key={row.key}
              id={`${id}-${row.key}`}
              role="option"
              aria-selected={row === marked}
              aria-disabled={row.refused ?? false}
              className={row.refused ? styles.refused : row === marked ? styles.marked : styles.row}
              onClick={row.refused ? undefined : () => onPick(row.key)}
            >
              <b>{row.name}</b>
              <span>{row.detail}</span>
            </li>
          ))}
        </ul>
      ) : (
        <p id={`${id}-rows`}>{nothing}</p>
      )}
    </div>
  );
}
