"use client";

import { Button, Input, InputNumber } from "antd";
import type { ReactNode } from "react";
import { LEVELS, type Level } from "@/core/practice";
import { LEVEL_WORDS } from "@/core/text";
import { Choice, Switcher } from "@/ui/kit";
import { practiceWords } from "@/ui/words";
import styles from "./practice.module.css";

export const EXERCISES = [
  { key: "find", name: practiceWords.findTheFault },
  { key: "wire", name: practiceWords.wireIt },
] as const;
export const MADE_UP = "made-up";

/** What is chosen to practise. */
export interface Chosen {
  readonly exercise: "find" | "wire";
  readonly level: Level;
  readonly seed: number;
  /** A job of the firm, or a made-up room. */
  readonly room: string;
}

interface ChooseTaskProps {
  readonly chosen: Chosen;
  readonly jobs: readonly { readonly id: string; readonly name: string }[];
  readonly who: string;
  readonly onWho: (name: string) => void;
  readonly onExercise: (exercise: string) => void;
  readonly onLevel: (level: string) => void;
  readonly onRoom: (room: string | null) => void;
  readonly onSeed: (seed: string | null) => void;
  readonly onBegin: () => void;
  readonly notice: string | null;
}

/** What to practise, in which room, with which number, and for whom it counts. */
export function ChooseTask(props: ChooseTaskProps) {
  const { chosen, jobs, who, onWho, onExercise, onLevel, onRoom, onSeed, onBegin, notice } = props;
  return (
    <section className={styles.choose} aria-label={practiceWords.exercise}>
      <Switcher label={practiceWords.exercise} choices={EXERCISES} chosen={chosen.exercise} onChoose={onExercise} />
      <p className={styles.quiet}>{chosen.exercise === "find" ? practiceWords.intro : practiceWords.wireIntro}</p>
      <div className={styles.fields}>
        <Field name={practiceWords.level}>
          <Choice
            label={practiceWords.level}
            value={chosen.level as string}
            options={LEVELS.map((one) => ({ value: one as string, label: LEVEL_WORDS[one] }))}
            onChange={onLevel}
          />
        </Field>
        <Field name={practiceWords.room}>
          <Choice
            label={practiceWords.room}
            value={chosen.room}
            options={[{ value: MADE_UP, label: practiceWords.madeUp }, ...jobs.map(({ id, name }) => ({ value: id, label: name }))]}
            onChange={(next: string) => onRoom(next === MADE_UP ? null : next)}
          />
        </Field>
        <Field name={practiceWords.seed}>
          <InputNumber
            aria-label={practiceWords.seed}
            value={chosen.seed}
            min={1}
            max={999_999}
            precision={0}
            onChange={(next) => onSeed(next === null ? null : String(next))}
          />
        </Field>
        <Field name={practiceWords.yourName}>
          <Input
            className={styles.name ?? ""}
            aria-label={practiceWords.yourName}
            defaultValue={who}
            key={who}
            maxLength={80}
            onBlur={(event) => onWho(event.target.value)}
          />
        </Field>
        <Button type="primary" onClick={onBegin}>
          {practiceWords.begin}
        </Button>
      </div>
      <div aria-live="assertive">{notice ? <p>{notice}</p> : null}</div>
    </section>
  );
}

const Field = ({ name, children }: { name: string; children: ReactNode }) => (
  <label>
    {name}
    {children}
  </label>
);
