"use client";

import { Button } from "antd";
import Link from "next/link";
import { useMemo, useState } from "react";
import { castOf, conflictsOf, curesOf, eventOf, faultOf, householdOf, judgeAll, type JudgedAct } from "@/core/cec";
import { EffectLine, Sheet, useJob } from "@/ui/job";
import { EmptyPlace, Switcher, useChosen } from "@/ui/kit";
import { controlWords } from "@/ui/words";
import { ActList } from "./act-list";
import { ActStory } from "./act-story";
import { BusRuler } from "./bus-ruler";
import styles from "./control.module.css";
import { FrameList } from "./frame-list";
import { Habits } from "./habits";
import { RemoteCard } from "./remote-card";
import { rulerOf } from "./ruler";
import { TraceView } from "./trace-view";

const VIEWS = [
  { key: "acts", name: controlWords.acts },
  { key: "card", name: controlWords.card },
  { key: "habits", name: controlWords.habits },
  { key: "trace", name: controlWords.trace },
] as const;

/** Who wakes whom, whose loudness moves, which input is chosen: everyday acts on the control bus, their frames and their cures. */
export function ControlPlace() {
  const job = useJob((state) => state.job);
  const [wanted, setWanted] = useChosen("act");
  const [view, setView] = useChosen("view");
  const household = useMemo(() => householdOf(job), [job]);
  const all = useMemo(() => judgeAll(household), [household]);
  const conflicts = useMemo(() => conflictsOf(household), [household]);
  const judged = all.find(({ act }) => eventOf(act) === wanted) ?? all.find(({ verdict }) => verdict.verdict !== "as-wished") ?? all[0];
  const cures = useMemo(() => (judged ? curesOf(household, judged) : []), [household, judged]);
  const screen = castOf(household).screen?.nature.device;
  const shown = VIEWS.find(({ key }) => key === view)?.key ?? "acts";
  return (
    <Sheet
      marginLabel={controlWords.marginLabel}
      margin={judged ? <ActStory judged={judged} cures={cures} conflicts={conflicts} screen={screen} /> : null}
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
            <ActList all={all} screen={screen} chosen={eventOf(judged.act)} onChoose={setWanted} />
            <PlayedAct key={eventOf(judged.act)} household={household} judged={judged} />
          </>
        ) : null}
        {judged && shown === "card" ? <RemoteCard all={all} screen={screen} /> : null}
        {shown === "habits" ? <Habits devices={[...household.stations.keys()]} /> : null}
        {judged && shown === "trace" ? <TraceView household={household} judged={judged} screen={screen} /> : null}
      </div>
    </Sheet>
  );
}

function PlayedAct({ household, judged }: { household: ReturnType<typeof householdOf>; judged: JudgedAct }) {
  const [mark, setMark] = useState<string | null>(null);
  const ruler = useMemo(() => rulerOf(judged.played.trace), [judged]);
  const { frames, changes } = judged.played.trace;
  if (frames.length + changes.length === 0) return <p className={styles.quiet}>{controlWords.nothingHappens}</p>;
  const keys = frames.map((_, index) => `frame-${index}`);
  const at = mark ? keys.indexOf(mark) : -1;
  const step = (by: number) => setMark(keys[Math.min(keys.length - 1, Math.max(0, at + by))] ?? null);
  const fault = faultOf(judged.played.trace);
  return (
    <>
      <div className={styles.steps} role="group" aria-label={controlWords.steps}>
        <Button size="small" disabled={at <= 0} onClick={() => step(-1)}>
          {controlWords.frameBefore}
        </Button>
        <Button size="small" disabled={at === keys.length - 1} onClick={() => step(1)}>
          {controlWords.frameAfter}
        </Button>
        {fault === null ? null : (
          <Button size="small" onClick={() => setMark(keys[fault] ?? null)}>
            {controlWords.toTheFault}
          </Button>
        )}
      </div>
      <BusRuler judged={judged} ruler={ruler} chosen={mark} onChoose={setMark} />
      <FrameList household={household} ruler={ruler} chosen={mark} onChoose={setMark} />
    </>
  );
}
