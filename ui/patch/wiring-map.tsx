"use client";

import { ConnectionMode, ReactFlow, type Connection, type Edge, type FinalConnectionState } from "@xyflow/react";
import "@xyflow/react/dist/base.css";
import { useMemo, useState } from "react";
import type { Arrival } from "@/core/chain";
import { socketAnswers, whyNotPlug, type CableEnd, type Refusal } from "@/core/job";
import { cableName, refusalSentence, upperFirst } from "@/core/text";
import { useIntents, useJob } from "@/ui/job";
import { CableEdge, type CableEdgeData } from "./cable-edge";
import { passingHeight, placePlates } from "./lanes";
import { answerKey, MapContext } from "./map-context";
import styles from "./patch.module.css";
import { PlateNode, type PlateNodeType } from "./plate-node";

const nodeTypes = { plate: PlateNode };
const edgeTypes = { cable: CableEdge };

interface WiringMapProps {
  readonly row: Arrival | null;
  /** The socket chosen as one end; its answers show on every other socket. */
  readonly held: CableEnd | null;
  readonly chosenCable: string | null;
  readonly onPress: (end: CableEnd) => void;
  readonly onJoin: (a: CableEnd, b: CableEnd) => void;
  readonly onChooseCable: (cable: string) => void;
}

export function WiringMap({ row, held, chosenCable, onPress, onJoin, onChooseCable }: WiringMapProps) {
  const job = useJob((state) => state.job);
  const { say } = useIntents();
  const [dragged, setDragged] = useState<CableEnd | null>(null);
  const asking = dragged ?? held;
  const answers = useMemo(
    () =>
      asking ? new Map<string, Refusal | null>(socketAnswers(job, asking).map(({ end, refusal }) => [answerKey(end), refusal])) : null,
    [job, asking],
  );
  const plates = useMemo(() => placePlates(job), [job]);
  const nodes = useMemo(
    () =>
      plates.map((plate): PlateNodeType => ({
        id: plate.device.id,
        type: "plate",
        position: { x: plate.x, y: plate.y },
        data: { plate },
        draggable: false,
        selectable: false,
        focusable: false,
        connectable: true,
        style: { pointerEvents: "all" },
      })),
    [plates],
  );
  const edges = useMemo(
    () =>
      job.cables.map((cable): Edge<CableEdgeData> => ({
        id: cable.id,
        type: "cable",
        source: cable.from.device,
        sourceHandle: cable.from.port,
        target: cable.to.device,
        targetHandle: cable.to.port,
        ariaLabel: upperFirst(cableName(job, cable.id)),
        data: { arrival: row, chosen: cable.id === chosenCable, passing: passingHeight(plates, cable.from.device, cable.to.device) },
      })),
    [job, plates, row, chosenCable],
  );

  const endOf = (device: string | null, port: string | null | undefined): CableEnd | null => (device && port ? { device, port } : null);
  const connected = ({ source, sourceHandle, target, targetHandle }: Connection) => {
    const [a, b] = [endOf(source, sourceHandle), endOf(target, targetHandle)];
    if (a && b) onJoin(a, b);
  };
  const dropped = (state: FinalConnectionState) => {
    setDragged(null);
    const [a, b] = [endOf(state.fromNode?.id ?? null, state.fromHandle?.id), endOf(state.toNode?.id ?? null, state.toHandle?.id)];
    const refusal = a && b && state.isValid === false ? whyNotPlug(job, a, b) : null;
    if (refusal) say(refusalSentence(job, refusal));
  };

  return (
    <MapContext value={{ answers, asking, onPress }}>
      <ReactFlow
        className={styles.map ?? ""}
        nodes={nodes}
        edges={edges}
        nodeTypes={nodeTypes}
        edgeTypes={edgeTypes}
        connectionMode={ConnectionMode.Loose}
        isValidConnection={(connection) => {
          const [a, b] = [endOf(connection.source, connection.sourceHandle), endOf(connection.target, connection.targetHandle)];
          return a !== null && b !== null && whyNotPlug(job, a, b) === null;
        }}
        onConnectStart={(_event, { nodeId, handleId }) => setDragged(endOf(nodeId, handleId))}
        onConnectEnd={(_event, state) => dropped(state)}
        onConnect={connected}
        onEdgeClick={(_event, edge) => onChooseCable(edge.id)}
        connectionRadius={28}
        fitView
        fitViewOptions={{ padding: 0.06, maxZoom: 1.1 }}
        minZoom={0.4}
        maxZoom={1.6}
        zoomOnDoubleClick={false}
        nodesFocusable={false}
        edgesFocusable={false}
        deleteKeyCode={null}
        proOptions={{ hideAttribution: true }}
      />
    </MapContext>
  );
}
