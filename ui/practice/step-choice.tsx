"use client";

import { Button, Input } from "antd";
import { useMemo, useState } from "react";
import { STEP_GROUPS, type StepGroup } from "@/core/practice";
import type { RigReport } from "@/core/report";
import { folded } from "@/core/search";
import { durationWords, STEP_GROUP_WORDS } from "@/core/text";
import { Switcher } from "@/ui/kit";
import { practiceWords } from "@/ui/words";
import styles from "./practice.module.css";

interface StepChoiceProps {
  readonly checks: RigReport["checks"];
  readonly onTake: (check: string) => void;
}

/** Everything that can be done at a rig, by kind, each with its minutes; a word finds among all of them. */
export function StepChoice({ checks, onTake }: StepChoiceProps) {
  const [group, setGroup] = useState<StepGroup>("ask");
  const [words, setWords] = useState("");
  const kinds = STEP_GROUPS.filter((one) => checks.some((check) => check.group === one)).map((key) => ({
    key,
    name: STEP_GROUP_WORDS[key],
  }));
  const shown = useMemo(() => {
    const wanted = folded(words);
    return checks.filter((check) => (wanted ? folded(check.says).includes(wanted) : check.group === group));
  }, [checks, words, group]);
  return (
    <section aria-label={practiceWords.whatNow} className={styles.steps}>
      <h3>{practiceWords.whatNow}</h3>
      <div className={styles.tools}>
        <Switcher label={practiceWords.whatNow} choices={kinds} chosen={group} onChoose={setGroup} />
        <Input
          allowClear
          aria-label={practiceWords.filter}
          placeholder={practiceWords.filter}
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
      </div>
      <ul>
        {shown.map(({ id, says, minutes }) => (
          <li key={id}>
            <Button className={styles.step ?? ""} onClick={() => onTake(id)}>
              <span>{says}</span>
              <span className={styles.quiet}>{durationWords(minutes)}</span>
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
