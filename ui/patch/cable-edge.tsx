"use client";

import { Position, type Edge, type EdgeProps } from "@xyflow/react";
import { bedStrings } from "@/core/facts";
import type { Arrival, Hop } from "@/core/chain";
import { curvePath, directCurve, passingCurve, zigzagAlong, type Curve } from "./curve";
import { PLATE } from "./lanes";
import styles from "./patch.module.css";

export type CableEdgeData = {
  readonly arrival: Arrival | null;
  readonly chosen: boolean;
  /** The height at which it passes the lane between its ends; null where there is none. */
  readonly passing: number | null;
};

const GAP = 3;

/** A cable on the map: the strings of the chosen row where its sound runs, a thin line otherwise. */
export function CableEdge({ id, data, ...ends }: EdgeProps<Edge<CableEdgeData>>) {
  const curve = curveOf(ends, data?.passing ?? null);
  const path = curvePath(curve);
  const hop = data?.arrival?.hops.find(({ cable }) => cable === id);
  return (
    <>
      <path d={path} className={styles.grip} />
      {data?.chosen ? <path d={path} className={styles.chosenCable} /> : null}
      {hop?.out ? <Strings curve={curve} hop={hop} /> : <path d={path} className={hop ? styles.lostCable : styles.cable} />}
    </>
  );
}

type Ends = Pick<EdgeProps, "sourceX" | "sourceY" | "targetX" | "targetY" | "sourcePosition" | "targetPosition">;

function curveOf(ends: Ends, passing: number | null): Curve {
  const from = { x: ends.sourceX, y: ends.sourceY, side: ends.sourcePosition === Position.Right ? 1 : -1 };
  const to = { x: ends.targetX, y: ends.targetY, side: ends.targetPosition === Position.Right ? 1 : -1 };
  return passing === null ? directCurve(from, to) : passingCurve(from, to, passing, PLATE.lane - PLATE.width);
}

function Strings({ curve, hop }: { curve: Curve; hop: Hop }) {
  const stream = hop.out;
  if (!stream) return null;
  const path = curvePath(curve);
  const strings = bedStrings(stream.channels);
  const top = -((strings.length - 1) * GAP) / 2;
  const texture = stream.lineage === "re-encoded" ? styles.reEncoded : stream.lossless ? styles.lossless : styles.lossy;
  return (
    <>
      {strings.map((name, index) => (
        <path key={name} d={path} transform={`translate(0 ${top + index * GAP})`} className={`${styles.string} ${texture}`} />
      ))}
      {stream.objects === "none" ? null : <path d={zigzagAlong(curve, GAP + 4 - top)} className={`${styles.string} ${styles.objects}`} />}
    </>
  );
}
