/** Kinds of socket. A plug fits only its own kind. */
export const CONNECTORS = [
  { id: "hdmi", name: "HDMI", source: "HDMI 1.4 type A" },
  { id: "optical", name: "optical", source: "IEC 60874-17 (F05)" },
] as const;

export type Connector = (typeof CONNECTORS)[number]["id"];
export const CONNECTOR_IDS = CONNECTORS.map((row) => row.id) as [Connector, ...Connector[]];

export const connectorName = (id: Connector): string => CONNECTORS.find((row) => row.id === id)?.name ?? id;
