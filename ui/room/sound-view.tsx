"use client";

import { Button } from "antd";
import dynamic from "next/dynamic";
import { useMemo } from "react";
import { chosenSoundSystem, type Command, type Job } from "@/core/job";
import { axialModes, bassCurves, cuboidOf, earsOf, placeUnit, STATED_RT60_S, type RoomAnswer } from "@/core/room";
import { formatLength } from "@/core/units";
import { answerOf, WorkNote } from "@/ui/kit";
import { usePreferences } from "@/ui/preferences";
import { roomWords } from "@/ui/words";
import { MeasurePanel } from "./measure-panel";
import { TestTone } from "./test-tone";
import { useBassSpots } from "./use-proposals";
import styles from "./sheets.module.css";

const BassChart = dynamic(() => import("./bass-chart").then((module) => module.BassChart), { ssr: false });

const BELOW_HZ = 120;
const MOST_MODES = 8;

/** What the room does to low notes, and what a microphone heard. */
export function SoundView({ job, answer, onEdit }: { job: Job; answer: RoomAnswer; onEdit: (command: Command) => void }) {
  return (
    <div className={styles.sheets}>
      <MeasurePanel job={job} answer={answer} onEdit={onEdit} />
      <Bass job={job} answer={answer} onEdit={onEdit} />
      <TestTone layout={chosenSoundSystem(job)?.speakers?.bed ?? "2.0"} />
    </div>
  );
}

function Bass({ job, answer, onEdit }: { job: Job; answer: RoomAnswer; onEdit: (command: Command) => void }) {
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
          <EvenSpots job={job} answer={answer} onEdit={onEdit} />
        </>
      ) : null}
    </section>
  );
}

/** Where the subwoofer would be most even, with the way to put it there. */
function EvenSpots({ job, answer, onEdit }: { job: Job; answer: RoomAnswer; onEdit: (command: Command) => void }) {
  const { units } = usePreferences();
  const { room } = answer.scene;
  const working = useBassSpots(job, room.id);
  const spots = answerOf(working.work) ?? [];
  return (
    <>
      <WorkNote working={working} words={roomWords.tryingSpots} />
      {spots.length ? (
        <>
          <b>{roomWords.evenSpots}</b>
          <ul className={styles.lines}>
            {spots.map(({ one, placement, spreadDb }) => (
              <li key={`${placement.at.x} ${placement.at.y}`}>
                {roomWords.evenSpot(formatLength(placement.at.x, units), formatLength(placement.at.y, units), spreadDb.toFixed(0))}{" "}
                <Button
                  size="small"
                  onClick={() =>
                    onEdit(placeUnit(room.id, { ...(one.placement ?? placement), at: placement.at, heightM: placement.heightM }))
                  }
                >
                  {roomWords.putItThere}
                </Button>
              </li>
            ))}
          </ul>
        </>
      ) : null}
    </>
  );
}
