import { gigabitsPerSecond, metres, type GigabitsPerSecond, type Metres } from "@/core/units";
import type { Connector } from "./connectors";

/** none: no conductor for a return; arc: the single wire (pin 14); earc: pins 14 and 19 made as a pair. */
export type ReturnWires = "none" | "arc" | "earc";

interface CableClassFact {
  readonly id: string;
  readonly name: string;
  readonly connector: Connector;
  /** The TMDS or FRL rate it is tested for; null for cables that carry no picture. */
  readonly pictureGbps: GigabitsPerSecond | null;
  /** What its class assures of the return conductors. */
  readonly assures: ReturnWires;
  /** Passive copper is certain up to here; plastic fibre likewise. */
  readonly certainM: Metres;
  readonly source: string;
}

export const CABLE_CLASSES = [
  {
    id: "standard",
    name: "Standard HDMI",
    connector: "hdmi",
    pictureGbps: gigabitsPerSecond(2.23),
    assures: "none",
    certainM: metres(10),
    source: "HDMI 1.4 Category 1: 74.25 MHz",
  },
  {
    id: "high-speed",
    name: "High Speed HDMI",
    connector: "hdmi",
    pictureGbps: gigabitsPerSecond(10.2),
    assures: "arc",
    certainM: metres(7.5),
    source: "HDMI 1.4 Category 2: 340 MHz",
  },
  {
    id: "high-speed-ethernet",
    name: "High Speed HDMI with Ethernet",
    connector: "hdmi",
    pictureGbps: gigabitsPerSecond(10.2),
    assures: "earc",
    certainM: metres(7.5),
    source: "HDMI 1.4 Category 2 with HEAC pair",
  },
  {
    id: "premium-high-speed",
    name: "Premium High Speed HDMI",
    connector: "hdmi",
    pictureGbps: gigabitsPerSecond(18),
    assures: "arc",
    certainM: metres(5),
    source: "HDMI Premium cable test: 18 Gb/s",
  },
  {
    id: "premium-high-speed-ethernet",
    name: "Premium High Speed HDMI with Ethernet",
    connector: "hdmi",
    pictureGbps: gigabitsPerSecond(18),
    assures: "earc",
    certainM: metres(5),
    source: "HDMI Premium cable test, with HEAC pair",
  },
  {
    id: "ultra-high-speed",
    name: "Ultra High Speed HDMI",
    connector: "hdmi",
    pictureGbps: gigabitsPerSecond(48),
    assures: "earc",
    certainM: metres(3),
    source: "HDMI 2.1 Category 3: 48 Gb/s, HEAC pair required",
  },
  {
    id: "optical",
    name: "optical (TOSLINK)",
    connector: "optical",
    pictureGbps: null,
    assures: "none",
    certainM: metres(5),
    source: "IEC 60874-17 plastic fibre",
  },
] as const satisfies readonly CableClassFact[];

export type CableClass = (typeof CABLE_CLASSES)[number]["id"];
export const CABLE_CLASS_IDS = CABLE_CLASSES.map((row) => row.id) as [CableClass, ...CableClass[]];

const byId = new Map<CableClass, CableClassFact>(CABLE_CLASSES.map((row) => [row.id, row]));

export function cableClassFact(id: CableClass): CableClassFact {
  const row = byId.get(id);
  if (!row) throw new Error(`No fact for cable class ${id}`);
  return row;
}
