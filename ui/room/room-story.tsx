"use client";

import { Button, InputNumber } from "antd";
import { Plus } from "lucide-react";
import { freeId, type Command, type Space } from "@/core/job";
import { mainSeat, newPlacement, placeUnit, rectangle, rectangleSize, type RoomAnswer, type Thing } from "@/core/room";
import { MIRRORED_SENTENCE, reachSentence, roomTroubleSentence, swappedSentence, upperFirst } from "@/core/text";
import type { Job } from "@/core/job";
import { formatLength } from "@/core/units";
import { Choice } from "@/ui/kit";
import { TapeField, usePreferences } from "@/ui/preferences";
import { roomWords } from "@/ui/words";
import { Corners } from "./corners";
import { NumberLine } from "./number-line";
import styles from "./room.module.css";

interface RoomStoryProps {
  readonly job: Job;
  readonly answer: RoomAnswer;
  readonly onEdit: (command: Command) => void;
  readonly onChoose: (thing: Thing) => void;
}

/** The room itself: its measures, what is still to be placed, what does not fit together. */
export function RoomStory({ job, answer, onEdit, onChoose }: RoomStoryProps) {
  const { units: system } = usePreferences();
  const { space, room, units } = answer.scene;
  const measure = (fields: Extract<Command, { kind: "measure-room" }>["fields"]) => onEdit({ kind: "measure-room", room: room.id, fields });
  const unplaced = units.filter(
    ({ placement, unit, device }) => !placement && (unit.drivers.length > 0 || typeof device.dials?.leastOhm === "number"),
  );
  const problems = [
    ...answer.troubles.map((trouble) => roomTroubleSentence(job, room.id, trouble, system)),
    ...(answer.mirrored ? [MIRRORED_SENTENCE] : answer.swapped.map(swappedSentence)),
    ...answer.reach.map((fault) => reachSentence(job, fault, system)),
    ...answer.covers.map(({ one, byM }) =>
      byM > 0 ? roomWords.covers(upperFirst(one.unit.name), formatLength(byM, system)) : roomWords.coversEye(upperFirst(one.unit.name)),
    ),
  ];
  return (
    <section aria-label={room.name} className={styles.story}>
      <h3>{room.name}</h3>
      {problems.map((problem) => (
        <p key={problem} role="note" className={styles.problem}>
          {problem}
        </p>
      ))}
      {unplaced.length ? (
        <div className={styles.toPlace}>
          <b>{roomWords.toPlace}</b>
          <div className={styles.buttons}>
            {unplaced.map((one) => (
              <Button
                key={`${one.device.id} ${one.unit.id}`}
                size="small"
                icon={<Plus size={14} aria-hidden />}
                onClick={() => {
                  onEdit(placeUnit(room.id, newPlacement(space, one)));
                  onChoose({ thing: "unit", device: one.device.id, unit: one.unit.id });
                }}
              >
                {one.unit.name}
              </Button>
            ))}
          </div>
        </div>
      ) : null}
      <Walls space={space} onMeasure={measure} />
      <NumberLine label={roomWords.temperature}>
        <InputNumber
          aria-label={roomWords.temperature}
          size="small"
          min={-30}
          max={50}
          step={0.5}
          value={space.temperatureC}
          placeholder="20"
          suffix="°C"
          onChange={(temperatureC) => measure({ temperatureC })}
        />
      </NumberLine>
      <NumberLine label={roomWords.listensDaily}>
        <InputNumber
          aria-label={roomWords.listensDaily}
          size="small"
          min={0.5}
          max={24}
          step={0.5}
          value={space.hoursPerDay}
          placeholder={roomWords.notAsked}
          suffix="h"
          onChange={(hoursPerDay) => measure({ hoursPerDay })}
        />
      </NumberLine>
      <AddButtons space={space} onMeasure={measure} onChoose={onChoose} />
      {answer.view ? (
        <p className={styles.quiet}>
          {roomWords.screenSeen(
            Math.round(answer.view.viewingDeg),
            Math.round(answer.view.upDeg),
            formatLength(answer.view.distanceM, system),
          )}
        </p>
      ) : null}
    </section>
  );
}

type Measure = (fields: Extract<Command, { kind: "measure-room" }>["fields"]) => void;

function Walls({ space, onMeasure }: { space: Space; onMeasure: Measure }) {
  const box = space.outline && rectangleSize(space.outline);
  const { ceiling } = space;
  return (
    <>
      {box ? (
        <>
          <NumberLine label={roomWords.width}>
            <TapeField
              label={roomWords.roomWidth}
              value={box.width}
              min={0.5}
              onKeep={(width) => width !== null && onMeasure({ outline: rectangle(width, box.depth) })}
            />
          </NumberLine>
          <NumberLine label={roomWords.depth}>
            <TapeField
              label={roomWords.roomDepth}
              value={box.depth}
              min={0.5}
              onKeep={(depth) => depth !== null && onMeasure({ outline: rectangle(box.width, depth) })}
            />
          </NumberLine>
        </>
      ) : null}
      {space.outline ? <Corners outline={space.outline} onKeep={(outline) => onMeasure({ outline })} /> : null}
      <NumberLine label={roomWords.ceiling}>
        <Choice
          label={roomWords.ceiling}
          size="small"
          value={ceiling === null ? "" : ceiling.shape === "flat" ? "flat" : ceiling.runs}
          options={[
            { value: "", label: roomWords.notMeasured },
            { value: "flat", label: roomWords.flat },
            { value: "across", label: roomWords.slopesAcross },
            { value: "along", label: roomWords.slopesAlong },
          ]}
          onChange={(shape) => onMeasure({ ceiling: ceilingOf(shape, ceiling) })}
        />
      </NumberLine>
      {ceiling?.shape === "flat" ? (
        <NumberLine label={roomWords.ceilingHeight}>
          <TapeField
            label={roomWords.ceilingHeight}
            value={ceiling.heightM}
            min={1.5}
            max={30}
            onKeep={(heightM) => heightM !== null && onMeasure({ ceiling: { shape: "flat", heightM } })}
          />
        </NumberLine>
      ) : null}
      {ceiling?.shape === "sloped"
        ? (
            [
              ["fromM", ceiling.runs === "across" ? roomWords.atLeftWall : roomWords.atScreenWall],
              ["toM", ceiling.runs === "across" ? roomWords.atRightWall : roomWords.atBackWall],
            ] as const
          ).map(([field, label]) => (
            <NumberLine key={field} label={label}>
              <TapeField
                label={label}
                value={ceiling[field]}
                min={0.5}
                max={30}
                onKeep={(value) => value !== null && onMeasure({ ceiling: { ...ceiling, [field]: value } })}
              />
            </NumberLine>
          ))
        : null}
    </>
  );
}

const USUAL_CEILING_M = 2.5;

function ceilingOf(shape: string, before: Space["ceiling"]): Space["ceiling"] {
  const height = before?.shape === "flat" ? before.heightM : (before?.toM ?? USUAL_CEILING_M);
  if (shape === "flat") return { shape: "flat", heightM: Math.max(1.5, height) };
  if (shape !== "across" && shape !== "along") return null;
  return { shape: "sloped", runs: shape, fromM: before?.shape === "sloped" ? before.fromM : height, toM: height };
}

/** What else a room holds: seats, a screen, things in the way, outlets. */
function AddButtons({ space, onMeasure, onChoose }: { space: Space; onMeasure: Measure; onChoose: (thing: Thing) => void }) {
  const middle = space.outline ? { x: (space.outline[0]?.x ?? 0) + 1, y: (space.outline[0]?.y ?? 0) + 1 } : { x: 1, y: 1 };
  const idOf = (stem: string, rows: readonly { readonly id: string }[]) => freeId(`${stem}-1`, new Set(rows.map(({ id }) => id)));
  const seat = () => {
    const id = idOf("seat", space.seats);
    const beside = mainSeat(space)?.at;
    const at = beside ? { x: Number((beside.x + 0.7).toFixed(2)), y: beside.y } : middle;
    onMeasure({
      seats: [
        ...space.seats,
        { id, name: space.seats.length ? roomWords.seat(space.seats.length + 1) : roomWords.mainSeat, at, earM: 1.1 },
      ],
    });
    onChoose({ thing: "seat", id });
  };
  const obstacle = () => {
    const id = idOf("thing", space.obstacles);
    onMeasure({
      obstacles: [
        ...space.obstacles,
        { id, name: roomWords.furniture, kind: "furniture", at: middle, widthM: 1, depthM: 0.5, fromM: 0, toM: 0.8 },
      ],
    });
    onChoose({ thing: "obstacle", id });
  };
  const outlet = () => {
    const id = idOf("outlet", space.outlets);
    onMeasure({ outlets: [...space.outlets, { id, at: middle }] });
    onChoose({ thing: "outlet", id });
  };
  const screen = () => {
    const x = mainSeat(space)?.at?.x ?? middle.x;
    onMeasure({ screen: { at: { x, y: 0.06 }, widthM: 1.23, heightM: 0.69, lowerEdgeM: 0.75 } });
    onChoose({ thing: "screen" });
  };
  return (
    <div className={styles.buttons}>
      {[
        { words: roomWords.addSeat, press: seat },
        ...(space.screen ? [] : [{ words: roomWords.addScreen, press: screen }]),
        { words: roomWords.addThing, press: obstacle },
        { words: roomWords.addOutlet, press: outlet },
      ].map(({ words, press }) => (
        <Button key={words} size="small" icon={<Plus size={14} aria-hidden />} onClick={press}>
          {words}
        </Button>
      ))}
    </div>
  );
}
