"use client";

import { Button } from "antd";
import { useEffect, useMemo, useState } from "react";
import { faultOf, judgeAct, type Household, type JudgedAct } from "@/core/cec";
import { findDevice } from "@/core/job";
import { upperFirst } from "@/core/text";
import { controlWords } from "@/ui/words";
import { ActVerdictMark } from "./act-list";
import { BusRuler } from "./bus-ruler";
import styles from "./control.module.css";
import { DeviceSwitches } from "./device-switches";
import { FrameList } from "./frame-list";
import { rulerOf } from "./ruler";

/** How long a frame stands while the act is played: long enough to read its words. */
const READ_MS = 1400;

interface PlayedActProps {
  readonly household: Household;
  readonly judged: JudgedAct;
  /** The room with a change that is only looked at, and the words of that change. */
  readonly beside: { readonly household: Household; readonly words: string } | null;
}

/** An act on the ruler: stepped through or played, beside what it would be with a change, and the switches of a lane turned right there. */
export function PlayedAct({ household, judged, beside }: PlayedActProps) {
  const [mark, setMark] = useState<string | null>(null);
  const [isPlaying, setPlaying] = useState(false);
  const [device, setDevice] = useState<string | null>(null);
  const { trace } = judged.played;
  const ruler = useMemo(() => rulerOf(trace), [trace]);
  const keys = trace.frames.map((_, index) => `frame-${index}`);
  const at = mark ? keys.indexOf(mark) : -1;
  useEffect(() => {
    if (!isPlaying) return;
    const timer = setTimeout(() => (at >= trace.frames.length - 1 ? setPlaying(false) : setMark(`frame-${at + 1}`)), at < 0 ? 0 : READ_MS);
    return () => clearTimeout(timer);
  }, [isPlaying, at, trace]);
  const choose = (key: string | null) => {
    setPlaying(false);
    setMark(key);
  };
  const step = (by: number) => choose(keys[Math.min(keys.length - 1, Math.max(0, at + by))] ?? null);
  const play = () => {
    if (!isPlaying && at === keys.length - 1) setMark(null);
    setPlaying(!isPlaying);
  };
  const fault = faultOf(trace);
  const turned = device ? findDevice(household.job, device) : undefined;
  return (
    <>
      <div className={styles.steps} role="group" aria-label={controlWords.steps}>
        <Button size="small" disabled={keys.length === 0} onClick={play}>
          {isPlaying ? controlWords.pause : controlWords.play}
        </Button>
        <Button size="small" disabled={at <= 0} onClick={() => step(-1)}>
          {controlWords.frameBefore}
        </Button>
        <Button size="small" disabled={at === keys.length - 1} onClick={() => step(1)}>
          {controlWords.frameAfter}
        </Button>
        {fault === null ? null : (
          <Button size="small" onClick={() => choose(keys[fault] ?? null)}>
            {controlWords.toTheFault}
          </Button>
        )}
        <span className={styles.quiet}>{controlWords.nameTurns}</span>
      </div>
      {turned ? <DeviceSwitches device={turned} /> : null}
      <BusRuler
        label={controlWords.ruler}
        household={household}
        judged={judged}
        ruler={ruler}
        chosen={mark}
        onChoose={choose}
        device={device}
        onDevice={(one) => setDevice(one === device ? null : one)}
      />
      {beside ? <Beside key={beside.words} {...beside} judged={judged} /> : null}
      {trace.frames.length + trace.changes.length === 0 ? <p className={styles.quiet}>{controlWords.nothingHappens}</p> : null}
      <FrameList household={household} ruler={ruler} chosen={mark} onChoose={choose} />
    </>
  );
}

/** The same act in the room with a change. */
function Beside({ household, words, judged: before }: NonNullable<PlayedActProps["beside"]> & { judged: JudgedAct }) {
  const judged = useMemo(() => judgeAct(household, before.act), [household, before]);
  const ruler = useMemo(() => (judged ? rulerOf(judged.played.trace) : null), [judged]);
  if (!judged || !ruler) return <p className={styles.quiet}>{controlWords.nobodyForIt}</p>;
  return (
    <section className={styles.beside} aria-label={controlWords.withTheChange}>
      <p>
        <b>{controlWords.withTheChange}</b> {upperFirst(words)}. <ActVerdictMark verdict={judged.verdict.verdict} />
      </p>
      <BusRuler label={controlWords.rulerBeside} household={household} judged={judged} ruler={ruler} />
    </section>
  );
}
