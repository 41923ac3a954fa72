"use client";

import type { KeyboardEvent } from "react";
import { Handle, Position, type Node, type NodeProps } from "@xyflow/react";
import type { Port } from "@/core/device";
import { cableAt, endKey } from "@/core/job";
import { deviceName, refusalFlag, refusalSentence } from "@/core/text";
import { socketMarks } from "@/ui/gear";
import { useJob } from "@/ui/job";
import { PLATE, type PlacedPlate, type Side } from "@/core/drawing";
import { useMap } from "./map-context";
import styles from "./patch.module.css";
import { patchWords } from "@/ui/words";

export type PlateNodeType = Node<{ plate: PlacedPlate }, "plate">;

/** A back plate on the map: every socket a button and a place to plug. */
export function PlateNode({ data: { plate } }: NodeProps<PlateNodeType>) {
  const { layer } = useMap();
  const words = layer.plates.get(plate.device.id);
  return (
    <div className={styles.plate} style={{ width: PLATE.width, height: plate.height }}>
      <PlateHead plate={plate} />
      {words ? <span className={styles.plateWords}>{words}</span> : null}
      {plate.device.ports.map((port) => (
        <SocketRow key={port.id} device={plate.device.id} port={port} side={plate.sides.get(port.id) ?? "left"} />
      ))}
    </div>
  );
}

const STEP = 20;
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};

/** The name of a device: the plate is dragged by it, or moved with the arrow keys. */
function PlateHead({ plate }: { plate: PlacedPlate }) {
  const { onMove } = useMap();
  const onKey = (event: KeyboardEvent) => {
    const step = ARROWS[event.key];
    if (!step) return;
    event.preventDefault();
    event.stopPropagation();
    onMove(plate.device.id, { x: plate.x + step[0], y: plate.y + step[1] });
  };
  return (
    <button
      type="button"
      dir="auto"
      className={`${styles.plateHead} plate-head`}
      title={patchWords.dragToMove(plate.device.name)}
      aria-label={patchWords.arrowKeysMove(plate.device.name)}
      onKeyDown={onKey}
    >
      {plate.device.name}
    </button>
  );
}

function SocketRow({ device, port, side }: { device: string; port: Port; side: Side }) {
  const job = useJob((state) => state.job);
  const { answers, asking, layer, onPress } = useMap();
  const end = { device, port: port.id };
  const cable = cableAt(job, end);
  const other = cable ? (cable.from.device === device && cable.from.port === port.id ? cable.to : cable.from) : null;
  const isHeld = asking?.device === device && asking.port === port.id;
  const refusal = answers?.get(endKey(end));
  const told = layer.sockets.get(endKey(end));
  const state = isHeld ? "held" : refusal === undefined ? "resting" : refusal === null ? "yes" : "no";
  const words = {
    held: patchWords.plugHeld,
    yes: patchWords.fitsHere,
    no: refusal ? refusalFlag(refusal) : "",
    resting: told?.words ?? (other ? deviceName(job, other.device) : ""),
  }[state];
  const spoken = {
    held: patchWords.chosenAsOneEnd,
    yes: patchWords.canTakeThePlug,
    no: refusal ? refusalSentence(job, refusal) : "",
    resting: other
      ? [patchWords.holdsTheCableOf(deviceName(job, other.device)), told?.sentence ?? ""].filter(Boolean).join(". ")
      : patchWords.free,
  }[state];
  return (
    <button
      type="button"
      className={`${styles.socket} ${styles[state] ?? ""} ${side === "right" ? styles.right : ""} nopan`}
      style={{ height: PLATE.row }}
      aria-label={`${deviceName(job, device)}, ${port.label}, ${socketMarks(port).join(", ")}: ${spoken}`}
      title={state === "no" ? spoken : told?.sentence}
      onClick={() => onPress(end)}
      data-socket={`${device}/${port.id}`}
    >
      <code>{port.label}</code>
      <span>{words}</span>
      <Handle
        id={port.id}
        type="source"
        position={side === "right" ? Position.Right : Position.Left}
        className={other ? (styles.plugged ?? "") : (styles.open ?? "")}
      />
    </button>
  );
}
