"use client";

import { Button, Checkbox } from "antd";
import { MOUNTS, type Command, type Placement } from "@/core/job";
import { partnerUnit, placeUnit, type RoomAnswer, type RoomUnit } from "@/core/room";
import {
  angleWords,
  channelName,
  decibelWords,
  dialValueWords,
  errorWords,
  mountingSentence,
  placingSentence,
  reachSentence,
  spoilerSentence,
  upFiringSentence,
  upperFirst,
  wireSentence,
} from "@/core/text";
import type { Job } from "@/core/job";
import { formatLength } from "@/core/units";
import { Choice } from "@/ui/kit";
import { TapeField, usePreferences } from "@/ui/preferences";
import { roomWords } from "@/ui/words";
import { NumberLine } from "./number-line";
import styles from "./room.module.css";

interface UnitStoryProps {
  readonly job: Job;
  readonly answer: RoomAnswer;
  readonly one: RoomUnit;
  readonly placement: Placement;
  readonly together: boolean;
  readonly onTogether: (together: boolean) => void;
  readonly onEdit: (command: Command) => void;
}

/** Everything about one placed unit: how it stands, what to dial, its lead, wire and mounting; and its exact place. */
export function UnitStory({ job, answer, one, placement, together, onTogether, onEdit }: UnitStoryProps) {
  const { units } = usePreferences();
  const { room } = answer.scene;
  const isOwn = (other: { readonly unit: unknown; readonly device: unknown }) => other.unit === one.unit && other.device === one.device;
  const speakers = answer.speakers.filter(isOwn);
  const set = (change: Partial<Placement>) => onEdit(placeUnit(room.id, { ...placement, ...change }));
  const ways = answer.upFiring.filter(({ speaker }) => isOwn(speaker));
  const lines = [
    ...answer.reach.filter((fault) => isOwn(fault.one)).map((fault) => reachSentence(job, fault, units)),
    ...answer.wire.filter((run) => isOwn(run.one)).map((run) => wireSentence(run, units)),
    ...answer.mounting.filter((mounting) => isOwn(mounting.one)).map(mountingSentence),
  ];
  return (
    <section aria-label={one.unit.name} className={styles.story}>
      <h3>{upperFirst(one.unit.name)}</h3>
      <p className={styles.quiet}>{one.device.name}</p>
      <NumberLine label={roomWords.fromLeft}>
        <TapeField label={roomWords.fromLeft} value={placement.at.x} onKeep={(x) => x !== null && set({ at: { ...placement.at, x } })} />
      </NumberLine>
      <NumberLine label={roomWords.fromScreenWall}>
        <TapeField
          label={roomWords.fromScreenWall}
          value={placement.at.y}
          onKeep={(y) => y !== null && set({ at: { ...placement.at, y } })}
        />
      </NumberLine>
      <NumberLine label={roomWords.heightOfMiddle}>
        <TapeField
          label={roomWords.heightOfMiddle}
          value={placement.heightM}
          max={30}
          onKeep={(heightM) => heightM !== null && set({ heightM })}
        />
      </NumberLine>
      <NumberLine label={roomWords.mounted}>
        <Choice
          label={roomWords.mounted}
          size="small"
          value={placement.mount as string}
          options={MOUNTS.map((mount) => ({ value: mount as string, label: roomWords.mounts[mount] }))}
          onChange={(value) => set({ mount: MOUNTS.find((mount) => mount === value) ?? placement.mount })}
        />
      </NumberLine>
      {one.unit.feed.feed === "wire" ? (
        <>
          <NumberLine label={roomWords.wireLength}>
            <TapeField label={roomWords.wireLength} value={placement.wireM} max={500} clearable onKeep={(wireM) => set({ wireM })} />
          </NumberLine>
          <Checkbox checked={placement.inWall} onChange={(event) => set({ inWall: event.target.checked })}>
            {roomWords.runsInWall}
          </Checkbox>
        </>
      ) : null}
      {partnerUnit(answer.scene.units, one) ? (
        <Checkbox checked={together} onChange={(event) => onTogether(event.target.checked)}>
          {roomWords.movePair}
        </Checkbox>
      ) : null}
      <ul className={styles.channels}>
        {speakers.map((speaker) => (
          <li key={`${speaker.channel} ${speaker.driver.rightMm}`}>
            <b>{upperFirst(channelName(speaker.channel))}</b>
            {speaker.azimuthDeg === null ? null : (
              <span className={styles.figures}>
                {roomWords.seenAt(
                  angleWords(speaker.azimuthDeg),
                  Math.round(speaker.elevationDeg ?? 0),
                  formatLength(speaker.straightM ?? 0, units),
                )}
              </span>
            )}
            <p>{placingSentence(speaker, speaker.placing, units)}</p>
            <DialLine answer={answer} of={speaker} />
          </li>
        ))}
      </ul>
      {ways.map((way) => (
        <p
          key={way.speaker.channel}
        >{`${upperFirst(channelName(way.speaker.channel))}: ${way.spoiledBy ? spoilerSentence(job, room.id, way.spoiledBy, units) : upFiringSentence(way, units)}`}</p>
      ))}
      {lines.map((line) => (
        <p key={line}>{line}</p>
      ))}
      <Button
        size="small"
        onClick={() => onEdit({ kind: "place-unit", room: room.id, device: one.device.id, unit: one.unit.id, to: null, at: null })}
      >
        {roomWords.takeAway}
      </Button>
    </section>
  );
}

/** What to dial for a channel, with what stays. */
function DialLine({ answer, of }: { answer: RoomAnswer; of: RoomAnswer["speakers"][number] }) {
  const system = answer.systems.find(({ device }) => device === of.device.id);
  const time = system?.times.find(({ speaker }) => speaker.unit === of.unit && speaker.driver === of.driver);
  const level = system?.levels.find(({ speaker }) => speaker.unit === of.unit && speaker.driver === of.driver);
  const left = time?.dial ? errorWords(time.dial.errorMs, answer.speedOfSound) : null;
  const parts = [
    ...(time?.dial
      ? [`${roomWords.dial} ${dialValueWords(time.dial.value, time.dial.unit)}${left ? `, ${roomWords.stays(left)}` : ""}`]
      : []),
    ...(level?.dial
      ? [
          `${roomWords.level} ${level.dial.name ?? decibelWords(level.dial.db)}${level.from === "estimated" ? ` ${roomWords.estimated}` : ""}`,
        ]
      : []),
  ];
  return parts.length ? <p className={styles.quiet}>{parts.join("; ")}</p> : null;
}
