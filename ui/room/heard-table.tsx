"use client";

import { Button } from "antd";
import type { Device } from "@/core/device";
import type { Command } from "@/core/job";
import type { Reading } from "@/core/measure";
import { compareHeard, readingsOf, type RoomAnswer } from "@/core/room";
import { channelName, heardSentence, upperFirst } from "@/core/text";
import { formatLength } from "@/core/units";
import { usePreferences } from "@/ui/preferences";
import { roomWords } from "@/ui/words";
import styles from "./sheets.module.css";

/** What was heard, beside what was measured by tape, and the way to make it the readings of the room. */
export function HeardTable({
  answer,
  device,
  reading,
  onEdit,
}: {
  answer: RoomAnswer;
  device: Device;
  reading: Reading;
  onEdit: (command: Command) => void;
}) {
  const { units } = usePreferences();
  const speakers = answer.speakers.filter((speaker) => speaker.device.id === device.id && speaker.driver.tiltDeg === null);
  const heard = reading.channels.map((one) => ({ ...one, trusted: one.trust === "good" }));
  const compared = compareHeard(answer.scene, speakers, heard);
  const commands = readingsOf(answer.scene, compared);
  return (
    <>
      <div className={styles.scroll}>
        <table className={styles.table}>
          <thead>
            <tr>
              <th scope="col">{roomWords.channel}</th>
              <th scope="col">{roomWords.heard}</th>
              <th scope="col">{roomWords.byTape}</th>
              <th scope="col">{roomWords.bySound}</th>
            </tr>
          </thead>
          <tbody>
            {reading.channels.map((channel) => {
              const row = compared.find(({ speaker }) => speaker.channel === channel.channel);
              return (
                <tr key={channel.channel}>
                  <th scope="row">{upperFirst(channelName(channel.channel))}</th>
                  <td>{heardSentence(channel)}</td>
                  <td className={styles.figure}>
                    {row === undefined || row.tapeM === null ? roomWords.none : formatLength(row.tapeM, units)}
                  </td>
                  <td className={styles.figure}>
                    {row === undefined || row.soundM === null ? roomWords.none : formatLength(row.soundM, units)}
                    {row?.disagrees ? <span className={styles.problem}> {roomWords.disagree}</span> : null}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {compared.some(({ disagrees }) => disagrees) ? <p className={styles.problem}>{roomWords.whichIsRight}</p> : null}
      <Button type="primary" disabled={!commands.length} onClick={() => onEdit({ kind: "batch", commands: [...commands] })}>
        {roomWords.useReadings}
      </Button>
    </>
  );
}
