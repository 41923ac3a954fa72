"use client";

import { getBezierPath, type Edge, type EdgeProps } from "@xyflow/react";
import { bedStrings } from "@/core/facts";
import type { Arrival, Hop } from "@/core/chain";
import styles from "./patch.module.css";

export type CableEdgeData = { readonly arrival: Arrival | null; readonly chosen: boolean };

const GAP = 3;

/** A cable on the map: the strings of the chosen row where its sound runs, a thin line otherwise. */
export function CableEdge({ id, data, ...ends }: EdgeProps<Edge<CableEdgeData>>) {
  const [path] = getBezierPath({ ...ends, curvature: 0.35 });
  const hop = data?.arrival?.hops.find(({ cable }) => cable === id);
  return (
    <>
      <path d={path} className={styles.grip} />
      {data?.chosen ? <path d={path} className={styles.chosenCable} /> : null}
      {hop?.out ? <Strings path={path} hop={hop} /> : <path d={path} className={hop ? styles.lostCable : styles.cable} />}
    </>
  );
}

function Strings({ path, hop }: { path: string; hop: Hop }) {
  const stream = hop.out;
  if (!stream) return null;
  const strings = bedStrings(stream.channels);
  const top = -((strings.length - 1) * GAP) / 2;
  const texture = stream.lineage === "re-encoded" ? styles.reEncoded : stream.lossless ? styles.lossless : styles.lossy;
  return (
    <>
      {strings.map((name, index) => (
        <path key={name} d={path} transform={`translate(0 ${top + index * GAP})`} className={`${styles.string} ${texture}`} />
      ))}
      {stream.objects === "none" ? null : (
        <path d={path} transform={`translate(0 ${top - GAP - 2})`} className={`${styles.string} ${styles.objects}`} />
      )}
    </>
  );
}
