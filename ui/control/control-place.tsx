"use client";

import Link from "next/link";
import { useMemo, useState } from "react";
import { castOf, conflictsOf, eventOf, householdAfter, householdOf, judgeAll, relianceOf, type Cure } from "@/core/cec";
import type { Job } from "@/core/job";
import { cureWords } from "@/core/text";
import { EffectLine, Sheet, useActCures, useJob } from "@/ui/job";
import { EmptyPlace, Switcher, useChosen } from "@/ui/kit";
import { controlWords } from "@/ui/words";
import { ActList } from "./act-list";
import { ActStory } from "./act-story";
import styles from "./control.module.css";
import { Habits } from "./habits";
import { PlayedAct } from "./played-act";
import { RemoteCard } from "./remote-card";
import { TraceView } from "./trace-view";

const VIEWS = [
  { key: "acts", name: controlWords.acts },
  { key: "card", name: controlWords.card },
  { key: "habits", name: controlWords.habits },
  { key: "trace", name: controlWords.trace },
] as const;

/** Who wakes whom, whose volume moves, which input is chosen: everyday acts on the control bus, their frames and their cures. */
export function ControlPlace() {
  const job = useJob((state) => state.job);
  const [wanted, setWanted] = useChosen("act");
  const [view, setView] = useChosen("view");
  const household = useMemo(() => householdOf(job), [job]);
  const all = useMemo(() => judgeAll(household), [household]);
  const conflicts = useMemo(() => conflictsOf(household), [household]);
  const judged = all.find(({ act }) => eventOf(act) === wanted) ?? all.find(({ verdict }) => verdict.verdict !== "as-wished") ?? all[0];
  const event = judged ? eventOf(judged.act) : "";
  const working = useActCures(job, event);
  const reliance = useMemo(() => relianceOf(household), [household]);
  const [looked, setLooked] = useState<{ readonly job: Job; readonly event: string; readonly cure: Cure } | null>(null);
  const cure = looked?.job === job && looked.event === event ? looked.cure : null;
  const after = useMemo(() => (cure && "lowers" in cure ? householdAfter(household, cure) : null), [household, cure]);
  const screen = castOf(household).screen?.nature.device;
  const shown = VIEWS.find(({ key }) => key === view)?.key ?? "acts";
  return (
    <Sheet
      marginLabel={controlWords.marginLabel}
      margin={
        judged && (shown === "acts" || shown === "trace") ? (
          <ActStory
            household={household}
            judged={judged}
            working={working}
            looked={cure}
            onLook={(one) => setLooked(one && { job, event, cure: one })}
            conflicts={conflicts}
            reliance={reliance}
            screen={screen}
          />
        ) : null
      }
      foot={<EffectLine />}
    >
      <div className={styles.control}>
        <header>
          <h2 className="for-ears-only">{controlWords.control}</h2>
          <Switcher label={controlWords.whatIsShown} choices={VIEWS} chosen={shown} onChoose={setView} />
          {all.length ? (
            <span className={styles.quiet} role="status">
              {controlWords.wished(all.filter(({ verdict }) => verdict.verdict === "as-wished").length, all.length)}
            </span>
          ) : null}
        </header>
        {!judged ? (
          <EmptyPlace heading={controlWords.emptyHeading} words={controlWords.empty}>
            <Link href="gear">{controlWords.takeStock}</Link>
          </EmptyPlace>
        ) : null}
        {judged && shown === "acts" ? (
          <>
            <ActList all={all} screen={screen} chosen={event} onChoose={setWanted} />
            <PlayedAct
              key={event}
              household={household}
              judged={judged}
              beside={after && cure ? { household: after, words: cureWords(job, cure, screen) } : null}
            />
          </>
        ) : null}
        {judged && shown === "card" ? <RemoteCard all={all} screen={screen} /> : null}
        {shown === "habits" ? <Habits devices={[...household.stations.keys()]} /> : null}
        {judged && shown === "trace" ? <TraceView household={household} judged={judged} screen={screen} /> : null}
      </div>
    </Sheet>
  );
}
