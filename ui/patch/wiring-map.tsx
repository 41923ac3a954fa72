"use client";

import {
  ConnectionMode,
  ReactFlow,
  useNodesState,
  type Connection,
  type Edge,
  type FinalConnectionState,
  type ReactFlowInstance,
} from "@xyflow/react";
import "@xyflow/react/dist/base.css";
import { useDeferredValue, useEffect, useMemo, useState } from "react";
import { endKey, socketAnswers, whyNotPlug, type CableEnd, type Refusal } from "@/core/job";
import { cableName, refusalSentence, upperFirst } from "@/core/text";
import { useIntents, useJob } from "@/ui/job";
import { passingHeights, placePlates, THIN, type Layer } from "@/core/drawing";
import { CableEdge, type CableEdgeData } from "./cable-edge";
import { MapContext } from "./map-context";
import styles from "./patch.module.css";
import { PlateNode, type PlateNodeType } from "./plate-node";

const nodeTypes = { plate: PlateNode };
const edgeTypes = { cable: CableEdge };

interface WiringMapProps {
  /** What is shown of the wiring. */
  readonly layer: Layer;
  /** The socket chosen as one end; its answers show on every other socket. */
  readonly held: CableEnd | null;
  readonly chosenCable: string | null;
  readonly onPress: (end: CableEnd) => void;
  readonly onJoin: (a: CableEnd, b: CableEnd) => void;
  readonly onChooseCable: (cable: string) => void;
}

/** The whole map where its print can then be read; a larger one begins at its upper left. */
async function openReadable(flow: ReactFlowInstance<PlateNodeType, Edge<CableEdgeData>>): Promise<void> {
  await flow.fitView({ padding: 0.06, maxZoom: 1.1 });
  if (flow.getZoom() < READABLE) await flow.setViewport({ x: 24, y: 24, zoom: READABLE });
}
const READABLE = 0.6;

export function WiringMap({ layer, held, chosenCable, onPress, onJoin, onChooseCable }: WiringMapProps) {
  const job = useJob((state) => state.job);
  const { edit, say } = useIntents();
  const [dragged, setDragged] = useState<CableEnd | null>(null);
  // The press itself shows at once; every socket's answer may come a frame later.
  const asking = useDeferredValue(dragged ?? held);
  const answers = useMemo(
    () => (asking ? new Map<string, Refusal | null>(socketAnswers(job, asking).map(({ end, refusal }) => [endKey(end), refusal])) : null),
    [job, asking],
  );
  const plates = useMemo(() => placePlates(job), [job]);
  const laid = useMemo(
    () =>
      plates.map((plate): PlateNodeType => ({
        id: plate.device.id,
        type: "plate",
        position: { x: plate.x, y: plate.y },
        data: { plate },
        dragHandle: ".plate-head",
        selectable: false,
        focusable: false,
        connectable: true,
        style: { pointerEvents: "all" },
      })),
    [plates],
  );
  // While a plate is dragged its place is the map's own affair; the job hears of it once, when it is released.
  const [nodes, setNodes, onNodesChange] = useNodesState(laid);
  useEffect(() => setNodes(laid), [laid, setNodes]);
  const passing = useMemo(() => passingHeights(plates, job.cables), [plates, job.cables]);
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
        data: {
          drawing: layer.cables.get(cable.id) ?? THIN,
          chosen: cable.id === chosenCable,
          passing: passing.get(cable.id) ?? null,
        },
      })),
    [job, passing, layer, chosenCable],
  );

  const endOf = (device: string | null, port: string | null | undefined): CableEnd | null => (device && port ? { device, port } : null);
  const onMove = (device: string, to: { x: number; y: number } | null) =>
    edit({ kind: "arrange", device, to: to && { x: Math.round(to.x), y: Math.round(to.y) } });
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
    <MapContext value={{ answers, asking, layer, onPress, onMove }}>
      <ReactFlow
        className={styles.map ?? ""}
        nodes={nodes}
        edges={edges}
        onNodesChange={onNodesChange}
        onNodeDragStop={(_event, node) => onMove(node.id, node.position)}
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
        onInit={(flow) => void openReadable(flow)}
        minZoom={0.2}
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
