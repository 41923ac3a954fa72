"use client";

import { Button } from "antd";
import type { Conflict, Cure, JudgedAct } from "@/core/cec";
import { actWords, actVerdictSentence, conflictSentence, cureWords, listed, deviceName, upperFirst } from "@/core/text";
import { useIntents, useJob } from "@/ui/job";
import { controlWords } from "@/ui/words";
import styles from "./control.module.css";

interface ActStoryProps {
  readonly judged: JudgedAct;
  readonly cures: readonly Cure[];
  readonly conflicts: readonly Conflict[];
  readonly screen: string | undefined;
}

/** The story of an act: how it ends, what would make it end as wished, and what is wrong with the room's control at all. */
export function ActStory({ judged, cures, conflicts, screen }: ActStoryProps) {
  const job = useJob((state) => state.job);
  const { edit } = useIntents();
  return (
    <div className={styles.story}>
      <h2>{upperFirst(actWords(job, judged.act, screen))}</h2>
      <p>{actVerdictSentence(job, judged.verdict)}</p>
      {judged.remotes.length ? (
        <p className={styles.quiet}>{controlWords.remotes(listed(judged.remotes.map((device) => deviceName(job, device))))}</p>
      ) : null}
      {cures.length ? (
        <section>
          <h3>{controlWords.whatWouldChangeIt}</h3>
          <ul>
            {cures.map((cure) => (
              <li key={cureWords(job, cure, screen)}>
                <span>{upperFirst(cureWords(job, cure, screen))}.</span>
                {cure.cure === "setting" ? (
                  <Button size="small" onClick={() => edit(cure.command)}>
                    {controlWords.planIt}
                  </Button>
                ) : null}
              </li>
            ))}
          </ul>
          {cures.some(({ cure }) => cure === "power-in-order") ? <p className={styles.caution}>{controlWords.powerCaution}</p> : null}
        </section>
      ) : null}
      {conflicts.length ? (
        <section>
          <h3>{controlWords.conflicts}</h3>
          <ul>
            {conflicts.map((conflict) => (
              <li key={JSON.stringify(conflict)}>{conflictSentence(job, conflict)}</li>
            ))}
          </ul>
          {conflicts.some(({ conflict }) => conflict === "return-needs-control") ? (
            <p className={styles.caution}>{controlWords.pinCaution}</p>
          ) : null}
        </section>
      ) : null}
    </div>
  );
}
