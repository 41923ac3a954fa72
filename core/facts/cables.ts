import { gigabitsPerSecond, metres, type GigabitsPerSecond, type Metres } from "@/core/units";
import type { Connector } from "./connectors";

/** none: no conductor for a return; arc: the single wire (pin 14); earc: pins 14 and 19 made as a pair. */
export type ReturnWires = "none" | "arc" | "earc";

interface CableClassFact {
  readonly id: string;
  readonly name: string;
  /** The plugs at its two ends, either way round. */
  readonly ends: readonly [Connector, Connector];
  /** The TMDS or FRL rate it is tested for; null for cables that carry no picture. */
  readonly pictureGbps: GigabitsPerSecond | null;
  /** What its class assures of the return conductors. */
  readonly assures: ReturnWires;
  /** Copper without electronics: how far it is certain depends on the rate. */
  readonly passive: boolean;
  /** The class is certain up to here at any rate it carries. */
  readonly certainM: Metres;
  readonly source: string;
}

export const CABLE_CLASSES = [
  {
    id: "standard",
    name: "Standard HDMI",
    ends: ["hdmi", "hdmi"],
    pictureGbps: gigabitsPerSecond(2.23),
    assures: "none",
    passive: true,
    certainM: metres(10),
    source: "HDMI 1.4 Category 1: 74.25 MHz",
  },
  {
    id: "high-speed",
    name: "High Speed HDMI",
    ends: ["hdmi", "hdmi"],
    pictureGbps: gigabitsPerSecond(10.2),
    assures: "arc",
    passive: true,
    certainM: metres(7.5),
    source: "HDMI 1.4 Category 2: 340 MHz",
  },
  {
    id: "high-speed-ethernet",
    name: "High Speed HDMI with Ethernet",
    ends: ["hdmi", "hdmi"],
    pictureGbps: gigabitsPerSecond(10.2),
    assures: "earc",
    passive: true,
    certainM: metres(7.5),
    source: "HDMI 1.4 Category 2 with HEAC pair",
  },
  {
    id: "premium-high-speed",
    name: "Premium High Speed HDMI",
    ends: ["hdmi", "hdmi"],
    pictureGbps: gigabitsPerSecond(18),
    assures: "arc",
    passive: true,
    certainM: metres(5),
    source: "HDMI Premium cable test: 18 Gb/s",
  },
  {
    id: "premium-high-speed-ethernet",
    name: "Premium High Speed HDMI with Ethernet",
    ends: ["hdmi", "hdmi"],
    pictureGbps: gigabitsPerSecond(18),
    assures: "earc",
    passive: true,
    certainM: metres(5),
    source: "HDMI Premium cable test, with HEAC pair",
  },
  {
    id: "ultra-high-speed",
    name: "Ultra High Speed HDMI",
    ends: ["hdmi", "hdmi"],
    pictureGbps: gigabitsPerSecond(48),
    assures: "earc",
    passive: true,
    certainM: metres(3),
    source: "HDMI 2.1 Category 3: 48 Gb/s, HEAC pair required",
  },
  {
    id: "optical",
    name: "optical (TOSLINK)",
    ends: ["optical", "optical"],
    pictureGbps: null,
    assures: "none",
    passive: false,
    certainM: metres(5),
    source: "IEC 60874-17 plastic fibre",
  },
  {
    id: "direct-plug",
    name: "plugged in directly",
    ends: ["hdmi", "hdmi"],
    pictureGbps: null,
    assures: "none",
    passive: false,
    certainM: metres(1),
    source: "a stick whose plug is part of it: no cable between",
  },
  {
    id: "hdmi-extender",
    name: "short HDMI extender",
    ends: ["hdmi", "hdmi"],
    pictureGbps: gigabitsPerSecond(18),
    assures: "none",
    passive: true,
    certainM: metres(0.5),
    source: "the lead in the box of a stick; HDMI 2.0 rate over less than half a metre",
  },
  {
    id: "hybrid-optical-hdmi",
    name: "hybrid optical HDMI",
    ends: ["hdmi", "hdmi"],
    pictureGbps: gigabitsPerSecond(48),
    assures: "none",
    passive: false,
    certainM: metres(100),
    source: "active optical HDMI: four fibres for the picture, the rest in thin copper or left out; one way only",
  },
  {
    id: "hybrid-optical-hdmi-earc",
    name: "hybrid optical HDMI with eARC wires",
    ends: ["hdmi", "hdmi"],
    pictureGbps: gigabitsPerSecond(48),
    assures: "earc",
    passive: false,
    certainM: metres(30),
    source: "active optical HDMI made with the return pair in copper, which is certain over shorter runs than the fibres; one way only",
  },
  {
    id: "active-hdmi",
    name: "active copper HDMI",
    ends: ["hdmi", "hdmi"],
    pictureGbps: gigabitsPerSecond(18),
    assures: "arc",
    passive: false,
    certainM: metres(15),
    source: "HDMI 2.0 active cable test: a chip in the far plug restores the signal; one way only",
  },
  {
    id: "coaxial",
    name: "coaxial lead, 75 Ω",
    ends: ["coaxial", "coaxial"],
    pictureGbps: null,
    assures: "none",
    passive: true,
    certainM: metres(10),
    source: "IEC 60958-3; any RCA lead serves over a short run",
  },
  {
    id: "rca-as-coaxial",
    name: "any RCA lead as a short coaxial one",
    ends: ["coaxial", "coaxial"],
    pictureGbps: null,
    assures: "none",
    passive: true,
    certainM: metres(2),
    source: "IEC 60958-3 asks for 75 Ω; over a metre or two any RCA lead serves",
  },
  {
    id: "rca-pair",
    name: "RCA stereo lead",
    ends: ["rca", "rca"],
    pictureGbps: null,
    assures: "none",
    passive: true,
    certainM: metres(10),
    source: "IEC 61938: analogue line level",
  },
  {
    id: "minijack",
    name: "3.5 mm lead",
    ends: ["minijack", "minijack"],
    pictureGbps: null,
    assures: "none",
    passive: true,
    certainM: metres(5),
    source: "IEC 61938: analogue line level",
  },
  {
    id: "minijack-rca",
    name: "3.5 mm to RCA lead",
    ends: ["minijack", "rca"],
    pictureGbps: null,
    assures: "none",
    passive: true,
    certainM: metres(5),
    source: "IEC 61938: analogue line level",
  },
  {
    id: "composite",
    name: "composite video lead",
    ends: ["composite", "composite"],
    pictureGbps: null,
    assures: "none",
    passive: true,
    certainM: metres(10),
    source: "ITU-R BT.1700 over 75 Ω",
  },
  {
    id: "usb",
    name: "USB, plugged in",
    ends: ["usb", "usb"],
    pictureGbps: null,
    assures: "none",
    passive: false,
    certainM: metres(5),
    source: "USB 2.0 §7.1.16",
  },
  {
    id: "bluetooth",
    name: "Bluetooth pairing",
    ends: ["bluetooth", "bluetooth"],
    pictureGbps: null,
    assures: "none",
    passive: false,
    certainM: metres(10),
    source: "Bluetooth class 2: about 10 m in a room",
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

/** Whether a cable class has a plug for each of two sockets, in either order. */
export function cableJoins(id: CableClass, a: Connector, b: Connector): boolean {
  const [one, other] = cableClassFact(id).ends;
  return (one === a && other === b) || (one === b && other === a);
}

/** Cables with electronics in their plugs: they work one way round only. */
export const ONE_WAY_CLASSES: ReadonlySet<CableClass> = new Set<CableClass>([
  "hybrid-optical-hdmi",
  "hybrid-optical-hdmi-earc",
  "active-hdmi",
]);

/** The classes that join two kinds of socket, the one an installer takes first at the front. */
export const classesJoining = (a: Connector, b: Connector): readonly CableClass[] => CABLE_CLASS_IDS.filter((id) => cableJoins(id, a, b));

/** How far passive copper is certain at a picture rate. Source: HDMI compliance test lengths as the trade uses them; nobody promises more without a test. */
export const PASSIVE_COPPER = [
  { upToGbps: gigabitsPerSecond(10.2), certainM: metres(7.5) },
  { upToGbps: gigabitsPerSecond(18), certainM: metres(5) },
  { upToGbps: gigabitsPerSecond(48), certainM: metres(3) },
] as const;

/** The length that passive copper is certain to carry a rate over. */
export const certainLength = (gbps: number): Metres =>
  (PASSIVE_COPPER.find(({ upToGbps }) => gbps <= upToGbps) ?? PASSIVE_COPPER[2]).certainM;
