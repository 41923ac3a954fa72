"use client";

import { useRef } from "react";
import type { Command } from "@/core/job";
import { boundsOf, ceilingPlane, earsOf, heightAbove, mainSeat, placeUnit, thingKey, type RoomAnswer, type Thing } from "@/core/room";
import { formatLength } from "@/core/units";
import { usePreferences } from "@/ui/preferences";
import { roomWords } from "@/ui/words";
import styles from "./plan.module.css";
import { useDragging } from "./use-dragging";
import { useSize } from "./use-size";

interface SideViewProps {
  readonly answer: RoomAnswer;
  readonly chosen: Thing | null;
  readonly onChoose: (thing: Thing | null) => void;
  readonly onPreview: (command: Command | null) => void;
  readonly onEdit: (command: Command) => void;
}

const MARGIN = { left: 54, right: 18, top: 20, bottom: 26 } as const;

/** The room from its left side: heights of ears, screen, speakers and ceiling, and the way of sound over the ceiling. Drag up and down. */
export function SideView({ answer, chosen, onChoose, onPreview, onEdit }: SideViewProps) {
  const { space, units, room } = answer.scene;
  const frame = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(frame);
  const { units: system } = usePreferences();
  const handlers = useDragging();
  const box = space.outline ? boundsOf(space.outline) : { x: 0, y: 0, width: 5, depth: 5 };
  const plane = ceilingPlane(space);
  const seat = mainSeat(space);
  const across = box.x + box.width / 2;
  const heights = plane
    ? [box.y, box.y + box.depth].flatMap((y) => [heightAbove(plane, { x: box.x, y }), heightAbove(plane, { x: box.x + box.width, y })])
    : [2.5];
  const tall = Math.max(...heights);
  const perMetre = Math.max(1, Math.min((width - MARGIN.left - MARGIN.right) / box.depth, (height - MARGIN.top - MARGIN.bottom) / tall));
  const x = (y: number) => MARGIN.left + (y - box.y) * perMetre;
  const y = (z: number) => height - MARGIN.bottom - z * perMetre;
  const ceiling = (at: { x: number }) =>
    plane
      ? `M${x(box.y)} ${y(heightAbove(plane, { x: at.x, y: box.y }))}L${x(box.y + box.depth)} ${y(heightAbove(plane, { x: at.x, y: box.y + box.depth }))}`
      : "";
  const ears = seat && earsOf(seat);
  const isFarBack = (along: number) => along > box.y + box.depth * 0.7;
  return (
    <div ref={frame} className={styles.side}>
      <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} role="group" aria-label={roomWords.sideOf(room.name)}>
        <path d={`M${x(box.y)} ${y(0)}H${x(box.y + box.depth)}`} className={styles.floor} />
        {plane ? <path d={ceiling({ x: seat?.at?.x ?? across })} className={styles.ceiling} /> : null}
        {plane && plane.slopeDeg > 0 ? (
          <path d={`${ceiling({ x: box.x })}${ceiling({ x: box.x + box.width })}`} className={styles.keepClear} />
        ) : null}
        {plane ? (
          <text
            x={x(box.y) - 4}
            y={y(heightAbove(plane, { x: seat?.at?.x ?? across, y: box.y })) + 14}
            textAnchor="end"
            className={styles.figure}
          >
            {formatLength(heightAbove(plane, { x: seat?.at?.x ?? across, y: box.y }), system)}
          </text>
        ) : null}
        {space.obstacles
          .filter(({ kind }) => kind === "furniture" || kind === "shelf")
          .map(({ id, at, depthM, fromM, toM }) => (
            <rect
              key={id}
              x={x(at.y - depthM / 2)}
              y={y(Math.max(fromM, toM))}
              width={depthM * perMetre}
              height={Math.abs(toM - fromM) * perMetre}
              className={styles.obstacle}
            />
          ))}
        {space.screen ? (
          <rect
            x={x(space.screen.at.y) - 2}
            y={y(space.screen.lowerEdgeM + space.screen.heightM)}
            width={4}
            height={space.screen.heightM * perMetre}
            className={styles.screen}
          />
        ) : null}
        {ears
          ? answer.upFiring.map((way) => (
              <path
                key={`${way.speaker.device.id} ${way.speaker.channel}`}
                d={`M${x(way.speaker.at?.y ?? 0)} ${y(way.speaker.at?.z ?? 0)}L${x(way.bounce.y)} ${y(way.bounce.z)}L${x(ears.y)} ${y(ears.z)}`}
                className={way.spoiledBy ? styles.spoiled : styles.bounce}
              />
            ))
          : null}
        {space.seats.map((one) =>
          one.at ? (
            <circle key={one.id} cx={x(one.at.y)} cy={y(one.earM)} r={5} className={one === seat ? styles.mainSeat : styles.seat} />
          ) : null,
        )}
        {seat?.at ? (
          <text
            x={x(seat.at.y) + (isFarBack(seat.at.y) ? -9 : 9)}
            y={y(seat.earM) + 4}
            textAnchor={isFarBack(seat.at.y) ? "end" : "start"}
            className={styles.quietText}
          >
            {roomWords.ears(formatLength(seat.earM, system))}
          </text>
        ) : null}
        {units.map((one) => {
          const { placement, unit, device } = one;
          if (!placement) return null;
          const thing: Thing = { thing: "unit", device: device.id, unit: unit.id };
          const isChosen = chosen !== null && thingKey(chosen) === thingKey(thing);
          const high = Math.max(8, ((unit.size?.heightMm ?? 200) / 1000) * perMetre);
          const deep = Math.max(8, ((unit.size?.depthMm ?? 200) / 1000) * perMetre);
          const at = (z: number) => placeUnit(room.id, { ...placement, heightM: Number(Math.max(0, Math.min(z, tall)).toFixed(2)) });
          return (
            <g
              key={thingKey(thing)}
              role="button"
              tabIndex={0}
              aria-label={roomWords.heightOf(unit.name, formatLength(placement.heightM, system))}
              aria-pressed={isChosen}
              className={isChosen ? styles.chosen : styles.mark}
              transform={`translate(${x(placement.at.y)} ${y(placement.heightM)})`}
              {...handlers({
                perMetre,
                at: { x: 0, y: -placement.heightM },
                onChoose: () => onChoose(thing),
                onShow: (to) => onPreview(to && at(-to.y)),
                onMove: (to) => onEdit(at(-to.y)),
              })}
            >
              <circle r={18} className={styles.touch} />
              <rect x={-deep / 2} y={-high / 2} width={deep} height={high} rx={2} className={styles.unknown} />
              {isChosen ? (
                <text y={-high / 2 - 5} textAnchor="middle">
                  {formatLength(placement.heightM, system)}
                </text>
              ) : null}
            </g>
          );
        })}
        <text x={x(box.y)} y={height - 6} className={styles.quietText}>
          {roomWords.screenWall}
        </text>
        <text x={x(box.y + box.depth)} y={height - 6} textAnchor="end" className={styles.quietText}>
          {roomWords.back}
        </text>
      </svg>
    </div>
  );
}
