"use client";

import dynamic from "next/dynamic";
import { useMemo } from "react";
import { chosenSoundSystem, type Command, type Job } from "@/core/job";
import { axialModes, bassCurves, cuboidOf, earsOf, STATED_RT60_S, type RoomAnswer } from "@/core/room";
import { roomWords } from "@/ui/words";
import { MeasurePanel } from "./measure-panel";
import { TestTone } from "./test-tone";
import styles from "./sheets.module.css";

const BassChart = dynamic(() => import("./bass-chart").then((module) => module.BassChart), { ssr: false });

const BELOW_HZ = 120;
const MOST_MODES = 8;

/** What the room does to low notes, and what a microphone heard. */
export function SoundView({ job, answer, onEdit }: { job: Job; answer: RoomAnswer; onEdit: (command: Command) => void }) {
  return (
    <div className={styles.sheets}>
      <MeasurePanel job={job} answer={answer} onEdit={onEdit} />
      <Bass answer={answer} />
      <TestTone layout={chosenSoundSystem(job)?.speakers?.bed ?? "2.0"} />
    </div>
  );
}

function Bass({ answer }: { answer: RoomAnswer }) {
  const { space } = answer.scene;
  const room = useMemo(() => cuboidOf(space), [space]);
  const source = answer.speakers.find(({ channel, at }) => channel === "LFE" && at)?.at ?? null;
  const seats = useMemo(() => {
    const known = space.seats.flatMap((seat) => {
      const ears = earsOf(seat);
      return ears ? [{ name: seat.name, ears }] : [];
    });
    if (!room || !source) return [];
    const curves = bassCurves(
      room,
      source,
      known.map(({ ears }) => ears),
      space.temperatureC,
    );
    return known.flatMap(({ name }, index) => {
      const curve = curves[index];
      return curve ? [{ name, curve }] : [];
    });
  }, [room, source, space]);
  return (
    <section aria-label={roomWords.lowNotes} className={styles.wide}>
      <h4>{roomWords.lowNotes}</h4>
      {!room ? <p className={styles.quiet}>{roomWords.onlyRectangles}</p> : null}
      {room ? (
        <p>
          {roomWords.standingWaves}{" "}
          {axialModes(room, BELOW_HZ, space.temperatureC)
            .slice(0, MOST_MODES)
            .map(({ along, order, hertz }) => roomWords.mode(hertz.toFixed(1), roomWords.along[along], order))
            .join(", ")}
        </p>
      ) : null}
      {room && !source ? <p className={styles.quiet}>{roomWords.placeSubwoofer}</p> : null}
      {seats.length ? (
        <>
          <BassChart seats={seats} />
          <p>{seats.map(({ name, curve }) => roomWords.spread(name, curve.spreadDb.toFixed(0))).join("; ")}</p>
          <p className={styles.quiet}>{roomWords.isEstimate(STATED_RT60_S)}</p>
        </>
      ) : null}
    </section>
  );
}
