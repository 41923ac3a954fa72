"use client";

import { Button } from "antd";
import { useState } from "react";
import type { Conflict, Cure, Household, JudgedAct, Reliance } from "@/core/cec";
import {
  actWords,
  actVerdictSentence,
  conflictSentence,
  cureLimits,
  cureWords,
  listed,
  deviceName,
  relianceSentence,
  upperFirst,
} from "@/core/text";
import { useIntents, useJob } from "@/ui/job";
import { answerOf, WorkNote, type Working } from "@/ui/kit";
import { controlWords, kitWords } from "@/ui/words";
import styles from "./control.module.css";

interface ActStoryProps {
  readonly household: Household;
  readonly judged: JudgedAct;
  readonly working: Working<{ readonly cures: readonly Cure[]; readonly isWhole: boolean }>;
  /** The cure that is looked at beside the act. */
  readonly looked: Cure | null;
  readonly onLook: (cure: Cure | null) => void;
  readonly reliance: readonly Reliance[];
  readonly conflicts: readonly Conflict[];
  readonly screen: string | undefined;
}

/** So many cures are told at first. */
const FIRST = 4;

/** The story of an act: how it ends, what would make it end as wanted, and what is wrong with the room's control at all. */
export function ActStory({ household, judged, working, looked, onLook, conflicts, reliance, screen }: ActStoryProps) {
  const job = useJob((state) => state.job);
  const played = answerOf(working.work);
  const cures = played?.cures ?? null;
  const { edit } = useIntents();
  const [isLong, setLong] = useState(false);
  return (
    <div className={styles.story}>
      <h2>{upperFirst(actWords(job, judged.act, screen))}</h2>
      <p>{actVerdictSentence(job, judged.verdict)}</p>
      {judged.remotes.length ? (
        <p className={styles.quiet}>{controlWords.remotes(listed(judged.remotes.map((device) => deviceName(job, device))))}</p>
      ) : null}
      {judged.verdict.verdict === "as-wished" ? null : <WorkNote working={working} words={controlWords.playingCures} />}
      {played?.isWhole === false ? <p className={styles.quiet}>{kitWords.notAllTried}</p> : null}
      {cures?.length ? (
        <section>
          <h3>{controlWords.whatWouldChangeIt}</h3>
          <ul>
            {(isLong ? cures : cures.slice(0, FIRST)).map((cure) => (
              <li key={cureWords(job, cure, screen)}>
                <span>
                  {upperFirst(cureWords(job, cure, screen))}. {cureLimits(household, cure)}
                </span>
                <span className={styles.cureKeys}>
                  {"command" in cure ? (
                    <Button size="small" onClick={() => edit(cure.command)}>
                      {controlWords.planIt}
                    </Button>
                  ) : null}
                  {"lowers" in cure ? (
                    <Button size="small" aria-pressed={cure === looked} onClick={() => onLook(cure === looked ? null : cure)}>
                      {cure === looked ? controlWords.lookAway : controlWords.lookBeside}
                    </Button>
                  ) : null}
                </span>
              </li>
            ))}
          </ul>
          {cures.length > FIRST && !isLong ? (
            <Button size="small" onClick={() => setLong(true)}>
              {controlWords.moreCures(cures.length - FIRST)}
            </Button>
          ) : null}
          {cures.some(({ cure }) => cure === "adapter") ? <p className={styles.caution}>{controlWords.pinCaution}</p> : null}
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
      {reliance.length ? (
        <section>
          <h3>{controlWords.needsControl}</h3>
          {reliance.map((one) => (
            <p key={`${one.screen} ${one.taker}`}>{relianceSentence(job, one)}</p>
          ))}
        </section>
      ) : null}
    </div>
  );
}
