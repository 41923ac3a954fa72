"use client";

import { InputNumber } from "antd";
import { useRef } from "react";
import type { Command, RoomReading, Seat } from "@/core/job";
import { readingOf, type RoomAnswer, type SystemAnswer } from "@/core/room";
import { channelName, decibelWords, dialValueWords, errorWords, upperFirst } from "@/core/text";
import { TapeField } from "@/ui/preferences";
import { roomWords } from "@/ui/words";
import styles from "./sheets.module.css";

const READING_INPUT = "input[data-reading], [data-reading] input";

/** A row for each channel: what was measured, what to dial, what is left. Enter goes down the column. */
export function MeasureTable({
  answer,
  system,
  seat,
  onEdit,
}: {
  answer: RoomAnswer;
  system: SystemAnswer;
  seat: Seat;
  onEdit: (command: Command) => void;
}) {
  const table = useRef<HTMLTableElement>(null);
  const { space, room } = answer.scene;
  const speakers = answer.speakers.filter(({ device }) => device.id === system.device);
  const isMain = seat === space.seats[0];
  /** From a field to the one below it, then to the next column. */
  const next = (from: EventTarget | null, column: string) => {
    const fields = [...(table.current?.querySelectorAll<HTMLInputElement>(READING_INPUT) ?? [])].filter((field) =>
      field.closest(`[data-reading="${column}"]`),
    );
    const at = fields.findIndex((field) => field === from || field === document.activeElement);
    fields[at + 1]?.focus();
  };
  const keep = (speaker: RoomAnswer["speakers"][number], of: RoomReading["of"], value: number | null) => {
    const about = { device: speaker.device.id, unit: speaker.unit.id, channel: speaker.channel, seat: seat.id, of };
    onEdit({
      kind: "note-reading",
      room: room.id,
      about,
      reading: value === null ? null : { ...about, value, by: of === "level" ? "meter" : "tape" },
      at: null,
    });
  };
  return (
    <div className={styles.scroll}>
      <table ref={table} className={styles.table}>
        <thead>
          <tr>
            <th scope="col">{roomWords.channel}</th>
            <th scope="col">{roomWords.distance}</th>
            <th scope="col">{roomWords.levelRead}</th>
            {isMain ? (
              <>
                <th scope="col">{roomWords.trueDelay}</th>
                <th scope="col">{roomWords.toDial}</th>
                <th scope="col">{roomWords.staysHeading}</th>
                <th scope="col">{roomWords.asDelivered}</th>
                <th scope="col">{roomWords.trim}</th>
                <th scope="col">{roomWords.staysHeading}</th>
              </>
            ) : null}
          </tr>
        </thead>
        <tbody>
          {speakers.map((speaker) => {
            const isSame = ({ speaker: other }: { speaker: { unit: unknown; driver: unknown } }) =>
              other.unit === speaker.unit && other.driver === speaker.driver;
            const time = system.times.find(isSame);
            const level = system.levels.find(isSame);
            const distance = readingOf(space, speaker, seat.id, "distance");
            const read = readingOf(space, speaker, seat.id, "level");
            const name = upperFirst(channelName(speaker.channel));
            const left = time?.dial ? errorWords(time.dial.errorMs, answer.speedOfSound) : null;
            return (
              <tr key={`${speaker.unit.id} ${speaker.channel}`}>
                <th scope="row">{name}</th>
                <td data-reading="distance">
                  <TapeField
                    key={seat.id}
                    label={roomWords.distanceOf(name)}
                    value={distance?.value ?? null}
                    min={0.1}
                    max={100}
                    clearable
                    onKeep={(value) => keep(speaker, "distance", value)}
                    onEnter={() => next(document.activeElement, "distance")}
                  />
                  {!distance && isMain && time ? (
                    <span className={styles.quiet}>{roomWords.byPosition(time.distance.metres.toFixed(2))}</span>
                  ) : null}
                </td>
                <td data-reading="level">
                  <InputNumber
                    aria-label={roomWords.levelOf(name)}
                    size="small"
                    min={30}
                    max={120}
                    step={0.5}
                    value={read?.value ?? null}
                    suffix="dB"
                    onChange={(value) => keep(speaker, "level", value)}
                    onPressEnter={(event) => next(event.target, "level")}
                  />
                </td>
                {isMain ? (
                  <>
                    <td className={styles.figure}>{time ? roomWords.milliseconds(time.delayMs.toFixed(2)) : roomWords.none}</td>
                    <td className={styles.value}>
                      {time?.dial ? dialValueWords(time.dial.value, time.dial.unit) : roomWords.none}
                      {time?.dial?.outOfRange ? <span className={styles.problem}> {roomWords.outOfRange}</span> : null}
                    </td>
                    <td className={styles.figure}>{left ?? (time?.dial ? roomWords.nothingLeft : "")}</td>
                    <td className={styles.figure}>{time ? roomWords.milliseconds(time.asDeliveredMs.toFixed(1)) : ""}</td>
                    <td className={styles.value}>
                      {level?.dial ? (level.dial.name ?? decibelWords(level.dial.db)) : roomWords.none}
                      {level?.dial && level.from === "estimated" ? <span className={styles.quiet}> {roomWords.estimated}</span> : null}
                      {level?.dial?.outOfRange ? <span className={styles.problem}> {roomWords.outOfRange}</span> : null}
                    </td>
                    <td className={styles.figure}>
                      {level?.dial && Math.abs(level.dial.leftDb) >= 0.05 ? decibelWords(level.dial.leftDb) : ""}
                    </td>
                  </>
                ) : null}
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
