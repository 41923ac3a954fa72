"use client";

import type { RoomAnswer, Thing } from "@/core/room";
import { angleWords, channelName, PLACING_WORDS, upperFirst } from "@/core/text";
import { formatLength } from "@/core/units";
import { usePreferences } from "@/ui/preferences";
import { roomWords } from "@/ui/words";
import { PLACING_SIGNS } from "./placing-sign";
import styles from "./room.module.css";

/** Every channel with its angle, its distance and how it stands to its window, at a glance. */
export function SpeakerList({ answer, onChoose }: { answer: RoomAnswer; onChoose: (thing: Thing) => void }) {
  const { units } = usePreferences();
  const placed = answer.speakers.filter(({ at }) => at);
  if (!placed.length) return <p className={styles.legend}>{roomWords.nothingPlaced}</p>;
  return (
    <div className={styles.list}>
      <table>
        <caption className="for-ears-only">{roomWords.speakers}</caption>
        <tbody>
          {placed.map(({ device, unit, channel, driver, azimuthDeg, straightM, placing }) => (
            <tr key={`${unit.id} ${channel} ${driver.rightMm}`}>
              <td title={PLACING_WORDS[placing.placed]} aria-label={PLACING_WORDS[placing.placed]}>
                {PLACING_SIGNS[placing.placed]}
              </td>
              <th scope="row">
                <button type="button" onClick={() => onChoose({ thing: "unit", device: device.id, unit: unit.id })}>
                  {upperFirst(channelName(channel))}
                </button>
              </th>
              <td>{azimuthDeg === null ? "" : angleWords(azimuthDeg)}</td>
              <td>{straightM === null ? "" : formatLength(straightM, units)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
