"use client";

import { useId, type KeyboardEvent, type ReactNode } from "react";
import styles from "./tabs.module.css";

interface TabsProps<Key extends string> {
  readonly label: string;
  readonly tabs: readonly { readonly key: Key; readonly name: string }[];
  readonly chosen: Key;
  readonly onChoose: (key: Key) => void;
  readonly children: ReactNode;
}

/** A row of tabs over what the chosen one shows; left and right move between them. */
export function Tabs<Key extends string>({ label, tabs, chosen, onChoose, children }: TabsProps<Key>) {
  const id = useId();
  const onKey = (event: KeyboardEvent) => {
    const step = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
    const next = step ? tabs[(tabs.findIndex(({ key }) => key === chosen) + step + tabs.length) % tabs.length] : undefined;
    if (!next) return;
    event.preventDefault();
    onChoose(next.key);
    document.getElementById(`${id}-${next.key}`)?.focus();
  };
  return (
    <div className={styles.tabs}>
      <div role="tablist" aria-label={label} className={styles.row} onKeyDown={onKey}>
        {tabs.map(({ key, name }) => (
          <button
            key={key}
            type="button"
            role="tab"
            id={`${id}-${key}`}
            aria-selected={key === chosen}
            aria-controls={`${id}-panel`}
            tabIndex={key === chosen ? 0 : -1}
            className={key === chosen ? styles.chosen : styles.tab}
            onClick={() => onChoose(key)}
          >
            {name}
          </button>
        ))}
      </div>
      <div role="tabpanel" id={`${id}-panel`} aria-labelledby={`${id}-${chosen}`} className={styles.panel}>
        {children}
      </div>
    </div>
  );
}
