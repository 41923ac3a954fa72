"use client";

import { useCallback, useState, useSyncExternalStore } from "react";
import { Job } from "@/core/job";
import { LEVELS, type Level } from "@/core/practice";
import { OutsideFrame } from "@/ui/frame";
import { askServer, useChosen } from "@/ui/kit";
import { useOwnName } from "@/ui/visit";
import { practiceWords } from "@/ui/words";
import { ChooseTask, EXERCISES, MADE_UP, type Chosen } from "./choose-task";
import { inPracticeWorker } from "./in-practice-worker";
import styles from "./practice.module.css";
import { keepFinished, keptProgress, type Finished } from "./progress";
import { ProgressList } from "./progress-list";
import { RigView } from "./rig-view";
import type { RigWish } from "./use-rig";
import { WireView } from "./wire-view";

interface PracticePlaceProps {
  /** The firm's jobs, whose rooms may be practised in. */
  readonly jobs: readonly { readonly id: string; readonly name: string }[];
}

/** What is being practised. The same rig begun once more is another round, and begins from nothing. */
type Task =
  | { readonly exercise: "find"; readonly round: number; readonly level: Level; readonly seed: number; readonly wish: RigWish }
  | { readonly exercise: "wire"; readonly round: number; readonly level: Level; readonly seed: number; readonly bare: Job };

const LAST_SEED = 999_999;

/** Practice: choose what to train and where, find what is wrong or wire it, and see how it compares with the best. */
export function PracticePlace({ jobs }: PracticePlaceProps) {
  const [wantedExercise, setExercise] = useChosen("exercise");
  const [wantedLevel, setLevel] = useChosen("level");
  const [wantedSeed, setSeed] = useChosen("rig");
  const [wantedRoom, setRoom] = useChosen("room");
  const [who, setWho] = useOwnName();
  const chosen: Chosen = {
    exercise: EXERCISES.find(({ key }) => key === wantedExercise)?.key ?? "find",
    level: LEVELS.find((one) => one === wantedLevel) ?? "back-plate",
    seed: Math.min(LAST_SEED, Math.max(1, Number.parseInt(wantedSeed ?? "1", 10) || 1)),
    room: jobs.some(({ id }) => id === wantedRoom) ? (wantedRoom ?? MADE_UP) : MADE_UP,
  };
  const [task, setTask] = useState<Task | null>(null);
  const [notice, setNotice] = useState<string | null>(null);
  const [progress, setProgress] = useState<readonly Finished[] | null>(null);
  const kept = useSyncExternalStore(nothingTells, keptOnce, nothingKept);
  const begin = async (seed: number) => {
    const { exercise, level, room } = chosen;
    setSeed(String(seed));
    const job = room === MADE_UP ? null : await roomOfJob(room);
    if (typeof job === "string") return setNotice(job);
    const round = (task?.round ?? 0) + 1;
    if (exercise === "find") setTask({ exercise, round, level, seed, wish: { seed, level, job } });
    else {
      const bare = job ? { ...job, cables: [] } : await inPracticeWorker((api) => api.roomToWire(seed, level));
      if (bare === null) return setNotice(practiceWords.failed);
      setTask({ exercise, round, level, seed, bare });
    }
    setNotice(null);
  };
  const finished = useCallback(
    (points: number, minutes: number) => {
      if (!task) return;
      const { exercise, level, seed } = task;
      setProgress(keepFinished({ who, exercise, level, seed, points, minutes, at: new Date().toISOString() }));
    },
    [task, who],
  );
  const ways = { onNext: () => void begin(chosen.seed + 1), onAgain: () => void begin(chosen.seed) };
  return (
    <OutsideFrame>
      <main className={styles.practice}>
        <ChooseTask
          chosen={chosen}
          jobs={jobs}
          who={who}
          onWho={setWho}
          onExercise={setExercise}
          onLevel={setLevel}
          onRoom={setRoom}
          onSeed={setSeed}
          onBegin={() => void begin(chosen.seed)}
          notice={notice}
        />
        {task?.exercise === "find" ? (
          <RigView key={task.round} wish={task.wish} onFinished={(score) => finished(score.points, score.minutes)} {...ways} />
        ) : null}
        {task?.exercise === "wire" ? (
          <WireView key={task.round} bare={task.bare} onScored={(points) => finished(points, 0)} {...ways} />
        ) : null}
        {task ? null : <ProgressList finished={(progress ?? kept).filter((one) => one.who === who)} />}
      </main>
    </OutsideFrame>
  );
}

/** What is kept is read once as the page opens; afterwards the page itself adds to it. */
const nothingTells = () => () => undefined;
let read: readonly Finished[] | null = null;
const keptOnce = (): readonly Finished[] => (read ??= keptProgress());
const NOTHING: readonly Finished[] = [];
const nothingKept = (): readonly Finished[] => NOTHING;

/** The room of a job of the firm; a sentence where it cannot be had. */
async function roomOfJob(id: string): Promise<Job | string> {
  const answer = await askServer(`/api/jobs/${id}`, {});
  if (!answer.ok) return answer.refusal;
  const found = Job.safeParse((answer.value as { document?: unknown }).document);
  return found.success ? found.data : practiceWords.failed;
}
