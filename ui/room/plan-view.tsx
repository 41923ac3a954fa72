"use client";

import { useRef, useState, type ReactNode } from "react";
import { apartLabels, outlinePoints, planScale, type PlanScale } from "@/core/drawing";
import type { Command, Spot } from "@/core/job";
import { mainSeat, moveThing, snappedToWall, spotOf, thingKey, type Proposal, type RoomAnswer, type Thing } from "@/core/room";
import { formatLength } from "@/core/units";
import { usePreferences } from "@/ui/preferences";
import { roomWords } from "@/ui/words";
import {
  DistanceLine,
  Ghost,
  labelsOf,
  type NameMoved,
  Outlet,
  SEAT_LABEL_PX,
  Sides,
  takenBy,
  unitLabel,
  UnitMark,
  Wedges,
} from "./plan-marks";
import styles from "./plan.module.css";
import { useDragging } from "./use-dragging";
import type { RoomInHand } from "./use-room";
import { useSize } from "./use-size";

interface PlanViewProps {
  readonly hand: RoomInHand;
  readonly answer: RoomAnswer;
  readonly chosen: Thing | null;
  readonly onChoose: (thing: Thing | null) => void;
  readonly onPreview: (command: Command | null) => void;
  /** Both of a pair move at once. */
  readonly together: boolean;
  readonly proposals: readonly Proposal[] | null;
}

const MARGIN_PX = 34;

/** The room from above, to scale: drag a speaker, a seat or the screen; the window of what is chosen lies on the floor as a wedge. */
export function PlanView(props: PlanViewProps) {
  const { answer, chosen, hand, onChoose, onPreview, together, proposals } = props;
  const { space, units } = answer.scene;
  const frame = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(frame);
  const { units: system } = usePreferences();
  const handlers = useDragging();
  const [dragged, setDragged] = useState<{ readonly thing: Thing; readonly scale: PlanScale } | null>(null);
  // The drawing stays still while something is dragged, also when that is a wall's far end.
  const fitted = planScale(space, width, height, MARGIN_PX);
  const scale = dragged?.scale ?? fitted;
  const seat = mainSeat(space)?.at ?? null;
  const commandFor = (thing: Thing, to: Spot): Command | null => {
    if (!hand.room) return null;
    const one = thing.thing === "unit" ? units.find(({ device, unit }) => device.id === thing.device && unit.id === thing.unit) : undefined;
    return moveThing(hand.job, hand.room, thing, one ? snappedToWall(space, one, to) : to, together);
  };
  const mark = (thing: Thing, name: string, at: Spot, children: ReactNode) => (
    <g
      key={thingKey(thing)}
      role="button"
      tabIndex={0}
      aria-label={name}
      aria-pressed={chosen !== null && thingKey(chosen) === thingKey(thing)}
      className={chosen !== null && thingKey(chosen) === thingKey(thing) ? styles.chosen : styles.mark}
      transform={`translate(${scale.x(at.x).toFixed(1)} ${scale.y(at.y).toFixed(1)})`}
      {...handlers({
        perMetre: scale.perMetre,
        at,
        onChoose: () => onChoose(thing),
        onShow: (to) => {
          setDragged(to ? { thing, scale } : null);
          onPreview(to && commandFor(thing, to));
        },
        onMove: (to) => {
          const command = commandFor(thing, to);
          if (command) hand.edit(command);
        },
      })}
    >
      {children}
    </g>
  );
  const shown = chosen && spotOf(space, chosen);
  const labels = labelsOf(answer, scale);
  const apart = apartLabels(labels);
  /** How the name of what stands somewhere is moved. */
  const moved = (key: string, at: Spot): NameMoved => ({
    across: (labels.find((label) => label.key === key)?.x ?? scale.x(at.x)) - scale.x(at.x),
    down: apart.get(key) ?? 0,
  });
  return (
    <div ref={frame} className={styles.plan}>
      <svg
        width={width}
        height={height}
        viewBox={`0 0 ${width} ${height}`}
        role="group"
        aria-label={roomWords.planOf(answer.scene.room.name)}
        onPointerDown={(event) => (event.target === event.currentTarget ? onChoose(null) : undefined)}
      >
        {space.outline ? <polygon points={outlinePoints(space.outline, scale)} className={styles.walls} /> : null}
        <Sides answer={answer} scale={scale} taken={takenBy(answer, scale, labels, apart)} />
        {chosen?.thing === "unit" ? <Wedges answer={answer} chosen={chosen} scale={scale} /> : null}
        {seat && shown && chosen?.thing !== "seat" ? (
          <DistanceLine from={seat} to={shown} scale={scale} words={formatLength(Math.hypot(shown.x - seat.x, shown.y - seat.y), system)} />
        ) : null}
        {space.obstacles.map((one) =>
          mark(
            { thing: "obstacle", id: one.id },
            roomWords.thing(one.name),
            one.at,
            <>
              <rect
                x={(-one.widthM / 2) * scale.perMetre}
                y={(-one.depthM / 2) * scale.perMetre}
                width={one.widthM * scale.perMetre}
                height={one.depthM * scale.perMetre}
                className={one.kind === "keep-clear" ? styles.keepClear : styles.obstacle}
              />
              <Name moved={moved(`obstacle ${one.id}`, one.at)} below={4} className={styles.quietText}>
                {one.name}
              </Name>
            </>,
          ),
        )}
        {space.outlets.map((one, index) => mark({ thing: "outlet", id: one.id }, roomWords.outlet(index + 1), one.at, <Outlet />))}
        {space.screen
          ? mark(
              { thing: "screen" },
              roomWords.screen,
              space.screen.at,
              <>
                <rect
                  x={(-space.screen.widthM / 2) * scale.perMetre}
                  y={-4}
                  width={space.screen.widthM * scale.perMetre}
                  height={8}
                  className={styles.screen}
                />
                <text className={styles.quietText} textAnchor="middle" y={-9}>
                  {roomWords.screen}
                </text>
              </>,
            )
          : null}
        {space.seats.map((one, index) =>
          one.at
            ? mark(
                { thing: "seat", id: one.id },
                index === 0 ? roomWords.mainSeatNamed(one.name) : one.name,
                one.at,
                <>
                  <circle r={14} className={index === 0 ? styles.mainSeat : styles.seat} />
                  <path d="M-5 3a5 5 0 0 1 10 0M0 -1a3.2 3.2 0 1 1 .1 0" className={styles.head} />
                  <Name moved={moved(`seat ${one.id}`, one.at)} below={SEAT_LABEL_PX} className={styles.seatText}>
                    {one.name}
                  </Name>
                </>,
              )
            : null,
        )}
        {units.map((one) =>
          one.placement
            ? mark(
                { thing: "unit", device: one.device.id, unit: one.unit.id },
                unitLabel(answer, one),
                one.placement.at,
                <UnitMark one={one} answer={answer} scale={scale} name={moved(`unit ${one.device.id} ${one.unit.id}`, one.placement.at)} />,
              )
            : null,
        )}
        {proposals
          ?.filter(({ stays }) => !stays)
          .map((proposal) => (
            <Ghost
              key={`${proposal.one.device.id} ${proposal.one.unit.id}`}
              placement={proposal.placement}
              one={proposal.one}
              scale={scale}
            />
          ))}
      </svg>
    </div>
  );
}

interface NameProps {
  readonly moved: NameMoved;
  readonly below: number;
  readonly className: string | undefined;
  readonly children: string;
}

/** The name of a mark, below its middle. */
const Name = ({ moved, below, className, children }: NameProps) => (
  <text className={className} textAnchor="middle" x={moved.across} y={below + moved.down}>
    {children}
  </text>
);
