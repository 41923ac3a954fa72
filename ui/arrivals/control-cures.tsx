"use client";

import { Button } from "antd";
import { castOf, householdOf, type Household, type WeighedCure } from "@/core/cec";
import { cureWords, eventWords, listed, upperFirst } from "@/core/text";
import { useMemo } from "react";
import { useIntents, useJob, useRoomCures } from "@/ui/job";
import { answerOf, WorkNote } from "@/ui/kit";
import { arrivalsWords, kitWords } from "@/ui/words";
import styles from "./changes.module.css";

/** So many are told; the place of control has all of them, act by act. */
const MOST = 5;

/** What would make the everyday acts go better and lowers no sound, each played before it is offered. */
export function ControlCures() {
  const job = useJob((state) => state.job);
  const working = useRoomCures(job);
  const played = answerOf(working.work);
  const cures = played?.cures ?? null;
  const household = useMemo(() => householdOf(job), [job]);
  return (
    <section aria-label={arrivalsWords.everydayActs}>
      <h3>{arrivalsWords.everydayActs}</h3>
      <WorkNote working={working} words={arrivalsWords.playingActs} />
      {played?.isWhole === false ? <p className={styles.quiet}>{kitWords.notAllTried}</p> : null}
      {cures?.length === 0 && played?.isWhole ? <p className={styles.quiet}>{arrivalsWords.noCure}</p> : null}
      <ul>
        {cures?.slice(0, MOST).map((weighed) => (
          <CureLine key={JSON.stringify(weighed.cure)} household={household} weighed={weighed} />
        ))}
      </ul>
    </section>
  );
}

function CureLine({ household, weighed: { cure, betters } }: { household: Household; weighed: WeighedCure }) {
  const { edit } = useIntents();
  const { job } = household;
  const screen = castOf(household).screen?.nature.device;
  const acts = (events: readonly string[]) => listed(events.map((event) => eventWords(household, event)));
  return (
    <li className={styles.cure}>
      <span>
        {upperFirst(cureWords(job, cure, screen))}
        <i>{arrivalsWords.betters(acts(betters))}</i>
        {cure.worsens.length ? <i>{arrivalsWords.worsens(acts(cure.worsens))}</i> : null}
      </span>
      {"command" in cure ? (
        <Button size="small" onClick={() => edit(cure.command)}>
          {arrivalsWords.planIt}
        </Button>
      ) : null}
    </li>
  );
}
