"use client";

import { Button } from "antd";
import dayjs from "dayjs";
import { useState } from "react";
import { roomPlanSvg } from "@/core/drawing";
import type { Command, Seat } from "@/core/job";
import type { RoomAnswer, SystemAnswer } from "@/core/room";
import { channelName, deviceName, fileStem, sheetLineWords, speechStepWords, upperFirst } from "@/core/text";
import type { Job } from "@/core/job";
import { Choice, saveAsPng } from "@/ui/kit";
import { useIntents } from "@/ui/job";
import { usePreferences } from "@/ui/preferences";
import { roomWords } from "@/ui/words";
import { MeasureTable } from "./measure-table";
import { SoundDelayList } from "./sound-delay-list";
import styles from "./sheets.module.css";

interface DialsViewProps {
  readonly job: Job;
  readonly answer: RoomAnswer;
  readonly onEdit: (command: Command) => void;
}

/** Distances and levels as they are measured, one number and Enter after the other; beside each what to dial and what stays. */
export function DialsView({ job, answer, onEdit }: DialsViewProps) {
  const { space } = answer.scene;
  const [wanted, setWanted] = useState<string | null>(null);
  const seat = space.seats.find(({ id }) => id === wanted) ?? space.seats[0];
  if (!seat) return <p className={styles.quiet}>{roomWords.needsSeat}</p>;
  return (
    <div className={styles.dials}>
      {space.seats.length > 1 ? (
        <label className={styles.seatChoice}>
          {roomWords.measuredAt}
          <Choice
            label={roomWords.measuredAt}
            size="small"
            value={seat.id}
            options={space.seats.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setWanted}
          />
        </label>
      ) : null}
      {answer.systems.map((system) => (
        <section key={system.device} aria-label={deviceName(job, system.device)}>
          <h3>{deviceName(job, system.device)}</h3>
          <MeasureTable answer={answer} system={system} seat={seat} onEdit={onEdit} />
          {seat === space.seats[0] ? (
            <SheetOf answer={answer} system={system} onEdit={onEdit} />
          ) : (
            <SeatEffectOf system={system} seat={seat} />
          )}
        </section>
      ))}
    </div>
  );
}

/** The sheet that goes to the device's own menu, and the steps to clearer speech. */
function SheetOf({ answer, system, onEdit }: { answer: RoomAnswer; system: SystemAnswer; onEdit: (command: Command) => void }) {
  const device = answer.scene.units.find((one) => one.device.id === system.device)?.device;
  return (
    <div className={styles.sheets}>
      <section aria-label={roomWords.diallingSheet}>
        <h4>{roomWords.diallingSheet}</h4>
        {system.sheet.length ? (
          <ol className={styles.steps}>
            {system.sheet.map((line, index) => {
              const { what, value } = sheetLineWords(line);
              return (
                <li key={index}>
                  <span>{what}</span> <b>{value}</b>
                  {line.step === "level" && line.from === "estimated" ? <span className={styles.quiet}> {roomWords.estimated}</span> : null}
                </li>
              );
            })}
          </ol>
        ) : (
          <p className={styles.quiet}>{roomWords.nothingToDial}</p>
        )}
        {system.addedMs >= 0.05 ? <p className={styles.quiet}>{roomWords.addedToAll(system.addedMs.toFixed(1))}</p> : null}
        {system.times.length > 1 && !system.times[0]?.dial ? (
          <p className={styles.quiet}>
            {roomWords.cannotAlign(worstSpread(system).toFixed(1), ((worstSpread(system) / 1000) * answer.speedOfSound * 100).toFixed(0))}
          </p>
        ) : null}
      </section>
      {device ? <SoundDelayList device={device} onEdit={onEdit} /> : null}
      {system.speech.length ? (
        <section aria-label={roomWords.clearSpeech}>
          <h4>{roomWords.clearSpeech}</h4>
          <ol className={styles.steps}>
            {system.speech.map((step) => (
              <li key={step.act}>{speechStepWords(step)}</li>
            ))}
          </ol>
        </section>
      ) : null}
    </div>
  );
}

const worstSpread = ({ times }: SystemAnswer): number =>
  Math.max(...times.map(({ asDeliveredMs }) => asDeliveredMs)) - Math.min(...times.map(({ asDeliveredMs }) => asDeliveredMs));

/** What the values for the main seat do at another one. */
function SeatEffectOf({ system, seat }: { system: SystemAnswer; seat: Seat }) {
  const effect = system.otherSeats.find((one) => one.seat.id === seat.id);
  if (!effect) return <p className={styles.quiet}>{roomWords.seatNotMeasured}</p>;
  return (
    <section aria-label={roomWords.effectAt(seat.name)}>
      <h4>{roomWords.effectAt(seat.name)}</h4>
      <ul className={styles.steps}>
        {effect.speakers.map(({ speaker, lateMs, louderDb }) => (
          <li key={`${speaker.unit.id} ${speaker.channel}`}>
            <span>{upperFirst(channelName(speaker.channel))}</span>{" "}
            {roomWords.effectOf(Math.abs(lateMs).toFixed(1), lateMs >= 0, Math.abs(louderDb).toFixed(1), louderDb >= 0)}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The plan and the sheets on paper, and the plan as a picture. */
export function PrintButtons({ job, jobId, answer }: { job: Job; jobId: string; answer: RoomAnswer }) {
  const { units, firm } = usePreferences();
  const { say } = useIntents();
  const { room } = answer.scene;
  const href = (as: string) => `/api/jobs/${jobId}/room?in=${room.id}&as=${as}`;
  const savePlan = () => {
    const svg = roomPlanSvg({ job, answer, units, firm: firm.name, date: dayjs().format("D MMMM YYYY"), paper: "a4" });
    return saveAsPng(svg, `${fileStem(job.name)}-${room.id}`).catch((error: unknown) =>
      say(error instanceof Error ? error.message : roomWords.noPicture),
    );
  };
  return (
    <span className={styles.print}>
      <Button size="small" href={href("pdf")} download>
        {roomWords.asPdf}
      </Button>
      <Button size="small" href={href("svg")} download>
        {roomWords.asSvg}
      </Button>
      <Button size="small" onClick={() => void savePlan()}>
        {roomWords.asPng}
      </Button>
    </span>
  );
}
