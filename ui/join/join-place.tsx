"use client";

import { useMemo, useState } from "react";
import {
  joinJob,
  PLAYER_ANSWERS,
  SCREEN_ANSWERS,
  SOUND_ANSWERS,
  WAY_ANSWERS,
  type PlayerAnswer,
  type ScreenAnswer,
  type SoundAnswer,
  type WayAnswer,
} from "@/core/join";
import { PRESET_NAMES, weightsOf, type Preset } from "@/core/plan";
import { PRESET_WORDS } from "@/core/text";
import { OutsideFrame } from "@/ui/frame";
import { usePlans, type PlanQuestion } from "@/ui/plans";
import { useStock } from "@/ui/stock";
import { joinWords } from "@/ui/words";
import { JoinAnswer } from "./join-answer";
import styles from "./join.module.css";
import { ManyOf, OneOf } from "./options";

const keysOf = <Key extends string>(of: Readonly<Record<Key, string>>) => Object.keys(of) as Key[];
const NAMES = { ...joinWords.screenNames, ...joinWords.soundNames, ...joinWords.playerNames };

/** Five questions with a customer on the phone, and the planner's own answer. */
export function JoinPlace() {
  const [screen, setScreen] = useState<ScreenAnswer | null>(null);
  const [sound, setSound] = useState<SoundAnswer | null>(null);
  const [players, setPlayers] = useState<readonly PlayerAnswer[]>([]);
  const [way, setWay] = useState<WayAnswer>("beside");
  const [matters, setMatters] = useState<Preset>("easiest-to-use");
  const stock = useStock();
  const question = useMemo((): PlanQuestion | null => {
    if (!screen || !sound || !stock) return null;
    const job = joinJob(joinWords.jobName, { screen, sound, players, way, matters }, NAMES);
    return { job, weights: weightsOf(job.brief), ...stock };
  }, [screen, sound, players, way, matters, stock]);
  const planning = usePlans(question);
  return (
    <OutsideFrame>
      <main className={styles.join}>
        <div className={styles.questions}>
          <p className={styles.lead}>{joinWords.lead}</p>
          <OneOf
            legend={joinWords.screen}
            options={keysOf(SCREEN_ANSWERS)}
            words={joinWords.screens}
            chosen={screen}
            onChoose={setScreen}
          />
          <OneOf legend={joinWords.sound} options={keysOf(SOUND_ANSWERS)} words={joinWords.sounds} chosen={sound} onChoose={setSound} />
          <ManyOf
            legend={joinWords.player}
            options={keysOf(PLAYER_ANSWERS)}
            words={joinWords.players}
            chosen={players}
            onChoose={setPlayers}
          />
          <OneOf legend={joinWords.way} options={WAY_ANSWERS} words={joinWords.ways} chosen={way} onChoose={setWay} />
          <OneOf legend={joinWords.matters} options={PRESET_NAMES} words={PRESET_WORDS} chosen={matters} onChoose={setMatters} />
        </div>
        <JoinAnswer question={question} planning={planning} />
      </main>
    </OutsideFrame>
  );
}
