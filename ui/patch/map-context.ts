"use client";

import { createContext, useContext } from "react";
import type { CableEnd, Refusal } from "@/core/job";

interface MapState {
  /** While a plug is held: what every other socket answers, null meaning yes. */
  readonly answers: ReadonlyMap<string, Refusal | null> | null;
  readonly asking: CableEnd | null;
  readonly onPress: (end: CableEnd) => void;
  /** What the layer in sight says on each plate. */
  readonly plateWords: ReadonlyMap<string, string>;
  /** Puts a plate elsewhere; null: back to its computed place. */
  readonly onMove: (device: string, to: { x: number; y: number } | null) => void;
}

export const MapContext = createContext<MapState>({
  answers: null,
  asking: null,
  onPress: () => undefined,
  plateWords: new Map(),
  onMove: () => undefined,
});
export const useMap = (): MapState => useContext(MapContext);

/** How the answers are keyed by socket. */
export const answerKey = (end: CableEnd): string => `${end.device} ${end.port}`;
