import { Button, InputNumber } from "antd";
import { Undo2 } from "lucide-react";
import { FAULT_KINDS, type FaultKind } from "@/core/facts";
import type { Preferences } from "@/core/preferences";
import { FAULT_KIND_WORDS } from "@/core/text";
import { settingsWords } from "@/ui/words";
import styles from "./settings.module.css";

type Weights = Preferences["faults"];

interface FirmFaultsProps {
  readonly own: Weights;
  /** How many of each kind the firm has solved. */
  readonly solved: Partial<Readonly<Record<FaultKind, number>>>;
  readonly onSet: (weights: Weights) => void;
}

/** How often each kind of fault happens against the others: the firm's own figures, else the table of the trade, with its reasons. */
export function FirmFaults({ own, solved, onSet }: FirmFaultsProps) {
  const setOne = (kind: FaultKind, weight: number | null) => {
    const { [kind]: before, ...others } = own;
    void before;
    onSet(weight === null ? others : { ...others, [kind]: weight });
  };
  return (
    <section aria-label={settingsWords.faultsHappen}>
      <h2>{settingsWords.faultsHappen}</h2>
      <p className={styles.quiet}>{settingsWords.faultsWords}</p>
      <details>
        <summary>{settingsWords.eachKindOfFault(Object.keys(own).length)}</summary>
        <ul className={styles.faults}>
          {FAULT_KINDS.map(({ kind, weight, because }) => (
            <li key={kind}>
              <span>
                {FAULT_KIND_WORDS[kind]} <span className={styles.quiet}>{settingsWords.faultBecause(because, solved[kind] ?? 0)}</span>
              </span>
              <InputNumber
                aria-label={settingsWords.weightOf(FAULT_KIND_WORDS[kind])}
                value={own[kind] ?? null}
                placeholder={String(weight)}
                min={0}
                max={1000}
                onChange={(value) => setOne(kind, value)}
              />
              <Button
                type="text"
                icon={<Undo2 size={16} aria-hidden />}
                aria-label={settingsWords.asUsualFor(FAULT_KIND_WORDS[kind])}
                title={settingsWords.asUsual}
                disabled={own[kind] === undefined}
                onClick={() => setOne(kind, null)}
              />
            </li>
          ))}
        </ul>
      </details>
    </section>
  );
}
