import type { LinkKind } from "./links";

interface ConnectorFact {
  readonly id: string;
  readonly name: string;
  /** The link that sound takes through it, forward; null where it carries no sound. */
  readonly link: LinkKind | null;
  readonly source: string;
}

/** Kinds of socket. Which plugs a lead joins is said by the classes of cables. */
export const CONNECTORS = [
  { id: "hdmi", name: "HDMI", link: "hdmi", source: "HDMI 1.4 type A" },
  { id: "optical", name: "optical", link: "optical", source: "IEC 60874-17 (F05)" },
  { id: "coaxial", name: "coaxial", link: "coaxial", source: "IEC 60958-3: 75 Ω, RCA socket" },
  { id: "rca", name: "RCA stereo", link: "analogue", source: "IEC 60603-14: a pair, red and white" },
  { id: "minijack", name: "3.5 mm", link: "analogue", source: "IEC 60603-11: three contacts" },
  { id: "composite", name: "composite video", link: null, source: "ITU-R BT.1700: one yellow RCA, picture only" },
  { id: "usb", name: "USB", link: "usb", source: "USB 2.0 type A: a store of files" },
  { id: "bluetooth", name: "Bluetooth", link: "bluetooth", source: "Bluetooth A2DP: a pairing in place of a plug" },
] as const satisfies readonly ConnectorFact[];

export type Connector = (typeof CONNECTORS)[number]["id"];
export const CONNECTOR_IDS = CONNECTORS.map((row) => row.id) as [Connector, ...Connector[]];

export function connectorFact(id: Connector): ConnectorFact {
  const row = CONNECTORS.find((one) => one.id === id);
  if (!row) throw new Error(`No fact for connector ${id}`);
  return row;
}

export const connectorName = (id: Connector): string => connectorFact(id).name;
