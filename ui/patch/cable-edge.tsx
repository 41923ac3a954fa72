"use client";

import { Position, type Edge, type EdgeProps } from "@xyflow/react";
import { bedStrings } from "@/core/facts";
import type { Stream } from "@/core/chain";
import { curvePath, directCurve, middleOf, passingCurve, PLATE, THIN, zigzagAlong, type CableDrawing, type Curve } from "@/core/drawing";
import styles from "./patch.module.css";

export type CableEdgeData = {
  readonly drawing: CableDrawing;
  readonly chosen: boolean;
  /** The height at which it passes the lane between its ends; null where there is none. */
  readonly passing: number | null;
};

export const STRING_GAP = 3;

/** A cable on the map, drawn as the layer in sight says. */
export function CableEdge({ data, ...ends }: EdgeProps<Edge<CableEdgeData>>) {
  const curve = curveOf(ends, data?.passing ?? null);
  const path = curvePath(curve);
  const middle = middleOf(curve);
  const { line, stream, words } = data?.drawing ?? THIN;
  return (
    <>
      <path d={path} className={styles.grip} />
      {data?.chosen ? <path d={path} className={styles.chosenCable} /> : null}
      {line === "strings" && stream ? (
        <Strings curve={curve} stream={stream} />
      ) : (
        <path d={path} className={line === "lit" ? styles.litCable : line === "lost" ? styles.lostCable : styles.cable} />
      )}
      {words ? (
        <text
          x={middle.x}
          y={
            data?.passing === null || data?.passing === undefined
              ? middle.y - (line === "strings" ? 24 : 10)
              : middle.y + (line === "strings" ? 30 : 18)
          }
          className={styles.cableWords}
        >
          {words}
        </text>
      ) : null}
    </>
  );
}

type Ends = Pick<EdgeProps, "sourceX" | "sourceY" | "targetX" | "targetY" | "sourcePosition" | "targetPosition">;

function curveOf(ends: Ends, passing: number | null): Curve {
  const from = { x: ends.sourceX, y: ends.sourceY, side: ends.sourcePosition === Position.Right ? 1 : -1 };
  const to = { x: ends.targetX, y: ends.targetY, side: ends.targetPosition === Position.Right ? 1 : -1 };
  return passing === null ? directCurve(from, to) : passingCurve(from, to, passing, PLATE.lane - PLATE.width);
}

function Strings({ curve, stream }: { curve: Curve; stream: Stream }) {
  const path = curvePath(curve);
  const strings = bedStrings(stream.channels);
  const top = -((strings.length - 1) * STRING_GAP) / 2;
  const texture = stream.lineage === "re-encoded" ? styles.reEncoded : stream.lossless ? styles.lossless : styles.lossy;
  return (
    <>
      {strings.map((name, index) => (
        <path key={name} d={path} transform={`translate(0 ${top + index * STRING_GAP})`} className={`${styles.string} ${texture}`} />
      ))}
      {stream.objects === "none" ? null : (
        <path d={zigzagAlong(curve, STRING_GAP + 4 - top)} className={`${styles.string} ${styles.objects}`} />
      )}
    </>
  );
}
