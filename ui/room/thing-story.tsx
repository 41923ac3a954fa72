"use client";

import { Button } from "antd";
import type { Command, Job, Obstacle, Space } from "@/core/job";
import type { RoomAnswer, Thing } from "@/core/room";
import { Choice, KeptText } from "@/ui/kit";
import { TapeField } from "@/ui/preferences";
import { roomWords } from "@/ui/words";
import { NumberLine } from "./number-line";
import styles from "./room.module.css";
import { UnitStory } from "./unit-story";

interface ThingStoryProps {
  readonly job: Job;
  readonly answer: RoomAnswer;
  readonly chosen: Thing;
  readonly together: boolean;
  readonly onTogether: (together: boolean) => void;
  readonly onEdit: (command: Command) => void;
  readonly onLeave: () => void;
}

type Fields = Extract<Command, { kind: "measure-room" }>["fields"];

/** The story of what is chosen on the plan, and its exact measures. */
export function ThingStory(props: ThingStoryProps) {
  const { answer, chosen, onEdit, onLeave } = props;
  const { space, units, room } = answer.scene;
  const measure = (fields: Fields) => onEdit({ kind: "measure-room", room: room.id, fields });
  if (chosen.thing === "unit") {
    const one = units.find(({ device, unit }) => device.id === chosen.device && unit.id === chosen.unit);
    return one?.placement ? <UnitStory {...props} one={one} placement={one.placement} /> : null;
  }
  if (chosen.thing === "seat") return <SeatStory space={space} id={chosen.id} onMeasure={measure} onLeave={onLeave} />;
  if (chosen.thing === "obstacle") return <ObstacleStory space={space} id={chosen.id} onMeasure={measure} onLeave={onLeave} />;
  if (chosen.thing === "outlet") {
    const outlet = space.outlets.find(({ id }) => id === chosen.id);
    if (!outlet) return null;
    const set = (at: typeof outlet.at) => measure({ outlets: space.outlets.map((row) => (row === outlet ? { ...row, at } : row)) });
    return (
      <section aria-label={roomWords.mainsOutlet} className={styles.story}>
        <h3>{roomWords.mainsOutlet}</h3>
        <SpotFields at={outlet.at} onKeep={set} />
        <RemoveButton
          onPress={() => {
            measure({ outlets: space.outlets.filter((row) => row !== outlet) });
            onLeave();
          }}
        />
      </section>
    );
  }
  return <ScreenStory space={space} onMeasure={measure} onLeave={onLeave} />;
}

interface PartProps {
  readonly space: Space;
  readonly onMeasure: (fields: Fields) => void;
  readonly onLeave: () => void;
}

function SpotFields({ at, onKeep }: { at: { x: number; y: number } | null; onKeep: (at: { x: number; y: number }) => void }) {
  return (
    <>
      <NumberLine label={roomWords.fromLeft}>
        <TapeField label={roomWords.fromLeft} value={at?.x ?? null} onKeep={(x) => x !== null && onKeep({ x, y: at?.y ?? 0 })} />
      </NumberLine>
      <NumberLine label={roomWords.fromScreenWall}>
        <TapeField label={roomWords.fromScreenWall} value={at?.y ?? null} onKeep={(y) => y !== null && onKeep({ x: at?.x ?? 0, y })} />
      </NumberLine>
    </>
  );
}

const RemoveButton = ({ onPress }: { onPress: () => void }) => (
  <Button size="small" onClick={onPress}>
    {roomWords.remove}
  </Button>
);

function SeatStory({ space, id, onMeasure, onLeave }: PartProps & { id: string }) {
  const seat = space.seats.find((row) => row.id === id);
  if (!seat) return null;
  const set = (change: Partial<typeof seat>) =>
    onMeasure({ seats: space.seats.map((row) => (row === seat ? { ...row, ...change } : row)) });
  const isMain = space.seats[0] === seat;
  return (
    <section aria-label={seat.name} className={styles.story}>
      <h3>{seat.name}</h3>
      <p className={styles.quiet}>{isMain ? roomWords.isMainSeat : roomWords.isOtherSeat}</p>
      <KeptText label={roomWords.nameOfSeat} value={seat.name} limit={80} onKeep={(name) => (name.trim() ? set({ name }) : false)} />
      <SpotFields at={seat.at} onKeep={(at) => set({ at })} />
      <NumberLine label={roomWords.earHeight}>
        <TapeField label={roomWords.earHeight} value={seat.earM} max={30} onKeep={(earM) => earM !== null && set({ earM })} />
      </NumberLine>
      <div className={styles.buttons}>
        {isMain ? null : (
          <Button size="small" onClick={() => onMeasure({ seats: [seat, ...space.seats.filter((row) => row !== seat)] })}>
            {roomWords.makeMain}
          </Button>
        )}
        <RemoveButton
          onPress={() => {
            onMeasure({ seats: space.seats.filter((row) => row !== seat) });
            onLeave();
          }}
        />
      </div>
    </section>
  );
}

const KINDS = ["furniture", "shelf", "door", "window", "keep-clear"] as const satisfies readonly Obstacle["kind"][];

function ObstacleStory({ space, id, onMeasure, onLeave }: PartProps & { id: string }) {
  const one = space.obstacles.find((row) => row.id === id);
  if (!one) return null;
  const set = (change: Partial<Obstacle>) =>
    onMeasure({ obstacles: space.obstacles.map((row) => (row === one ? { ...row, ...change } : row)) });
  const sizes = [
    ["widthM", roomWords.width],
    ["depthM", roomWords.depth],
    ["fromM", roomWords.fromFloor],
    ["toM", roomWords.toHeight],
  ] as const;
  return (
    <section aria-label={one.name} className={styles.story}>
      <h3>{one.name}</h3>
      <KeptText label={roomWords.nameOfThing} value={one.name} limit={80} onKeep={(name) => (name.trim() ? set({ name }) : false)} />
      <Choice
        label={roomWords.whatItIs}
        size="small"
        value={one.kind as string}
        options={KINDS.map((kind) => ({ value: kind as string, label: roomWords.kinds[kind] }))}
        onChange={(value) => set({ kind: KINDS.find((kind) => kind === value) ?? one.kind })}
      />
      <SpotFields at={one.at} onKeep={(at) => set({ at })} />
      {sizes.map(([field, label]) => (
        <NumberLine key={field} label={label}>
          <TapeField
            label={label}
            value={one[field]}
            min={field === "widthM" || field === "depthM" ? 0.01 : 0}
            max={30}
            onKeep={(value) => value !== null && set({ [field]: value })}
          />
        </NumberLine>
      ))}
      <RemoveButton
        onPress={() => {
          onMeasure({ obstacles: space.obstacles.filter((row) => row !== one) });
          onLeave();
        }}
      />
    </section>
  );
}

function ScreenStory({ space, onMeasure, onLeave }: PartProps) {
  const { screen } = space;
  if (!screen) return null;
  const set = (change: Partial<typeof screen>) => onMeasure({ screen: { ...screen, ...change } });
  const sizes = [
    ["widthM", roomWords.pictureWidth],
    ["heightM", roomWords.pictureHeight],
    ["lowerEdgeM", roomWords.lowerEdge],
  ] as const;
  return (
    <section aria-label={roomWords.screen} className={styles.story}>
      <h3>{roomWords.screen}</h3>
      <SpotFields at={screen.at} onKeep={(at) => set({ at })} />
      {sizes.map(([field, label]) => (
        <NumberLine key={field} label={label}>
          <TapeField
            label={label}
            value={screen[field]}
            min={field === "lowerEdgeM" ? 0 : 0.1}
            max={30}
            onKeep={(value) => value !== null && set({ [field]: value })}
          />
        </NumberLine>
      ))}
      <RemoveButton
        onPress={() => {
          onMeasure({ screen: null });
          onLeave();
        }}
      />
    </section>
  );
}
