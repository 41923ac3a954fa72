"use client";

import { createContext, useContext } from "react";
import type { Layer } from "@/core/drawing";
import type { CableEnd, Refusal } from "@/core/job";

interface MapState {
  /** While a plug is held: what every other socket answers, null meaning yes. */
  readonly answers: ReadonlyMap<string, Refusal | null> | null;
  readonly asking: CableEnd | null;
  readonly onPress: (end: CableEnd) => void;
  /** The layer in sight, for what it says on plates and at sockets. */
  readonly layer: Pick<Layer, "plates" | "sockets">;
  /** Puts a plate elsewhere; null: back to its computed place. */
  readonly onMove: (device: string, to: { x: number; y: number } | null) => void;
}

export const MapContext = createContext<MapState>({
  answers: null,
  asking: null,
  onPress: () => undefined,
  layer: { plates: new Map(), sockets: new Map() },
  onMove: () => undefined,
});
export const useMap = (): MapState => useContext(MapContext);
