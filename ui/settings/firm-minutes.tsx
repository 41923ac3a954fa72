import { Button, InputNumber } from "antd";
import { Undo2 } from "lucide-react";
import { VISIT_MINUTES, VISIT_WORKS, type VisitWork } from "@/core/facts";
import type { Preferences } from "@/core/preferences";
import { WORK_WORDS } from "@/core/text";
import type { LearnedMinutes } from "@/core/visit";
import { settingsWords } from "@/ui/words";
import styles from "./settings.module.css";

type Minutes = Preferences["minutes"];

interface FirmMinutesProps {
  readonly own: Minutes;
  readonly learned: LearnedMinutes;
  readonly onSet: (minutes: Minutes) => void;
}

/** What each kind of work takes: the firm's own figures, else what its visits took, else what is usual. */
export function FirmMinutes({ own, learned, onSet }: FirmMinutesProps) {
  return (
    <section aria-label={settingsWords.minutesOfWork}>
      <h2>{settingsWords.minutesOfWork}</h2>
      <p className={styles.quiet}>{settingsWords.minutesWords}</p>
      <details>
        <summary>{settingsWords.eachKindOfWork(Object.keys(own).length)}</summary>
        <ul className={styles.minutes}>
          {VISIT_WORKS.map((work) => (
            <WorkMinutes
              key={work}
              work={work}
              own={own[work]}
              learned={learned[work]}
              onSet={(range) => {
                const { [work]: before, ...others } = own;
                void before;
                onSet(range ? { ...others, [work]: range } : others);
              }}
            />
          ))}
        </ul>
      </details>
    </section>
  );
}

interface WorkMinutesProps {
  readonly work: VisitWork;
  readonly own: Minutes[VisitWork];
  readonly learned: LearnedMinutes[VisitWork];
  readonly onSet: (range: Minutes[VisitWork]) => void;
}

function WorkMinutes({ work, own, learned, onSet }: WorkMinutesProps) {
  const usual = learned ?? VISIT_MINUTES[work];
  const { from, to } = own ?? usual;
  const name = WORK_WORDS[work];
  // The other end follows, so that a range never runs backwards.
  const setFrom = (value: number | null) => (value === null ? onSet(undefined) : onSet({ from: value, to: Math.max(value, to) }));
  const setTo = (value: number | null) => (value === null ? onSet(undefined) : onSet({ from: Math.min(from, value), to: value }));
  return (
    <li>
      <span>
        {name}
        <span className={styles.quiet}>
          {" "}
          {learned ? settingsWords.learned(learned.from, learned.to, learned.steps) : settingsWords.usual(usual.from, usual.to)}
        </span>
      </span>
      <InputNumber
        aria-label={settingsWords.fromMinutes(name)}
        value={own ? own.from : null}
        placeholder={String(usual.from)}
        min={0}
        max={480}
        onChange={setFrom}
      />
      <InputNumber
        aria-label={settingsWords.toMinutes(name)}
        value={own ? own.to : null}
        placeholder={String(usual.to)}
        min={0}
        max={480}
        onChange={setTo}
      />
      <Button
        type="text"
        icon={<Undo2 size={16} aria-hidden />}
        aria-label={settingsWords.asUsualFor(name)}
        title={settingsWords.asUsual}
        disabled={!own}
        onClick={() => onSet(undefined)}
      />
    </li>
  );
}
