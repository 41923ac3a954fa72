import { connectorName, TMDS_MAX_GBPS } from "@/core/facts";
import type { Port } from "@/core/device";

/** What a socket is marked with beside its print: direction, kind, return channel, protected 4K, a rate beyond 18 Gb/s, a plug of its own. */
export function socketMarks(port: Port): readonly string[] {
  const direction = port.direction === "in" ? "in" : "out";
  if (port.connector !== "hdmi") return [direction, connectorName(port.connector)];
  const back = port.returns === null ? "return?" : port.returns === "earc" ? "eARC" : port.returns === "arc" ? "ARC" : null;
  const protects = port.hdcp === "2.2" || port.hdcp === "2.3" ? "4K" : null;
  const rate = port.maxGbps !== null && port.maxGbps > TMDS_MAX_GBPS ? `${port.maxGbps}G` : null;
  return [direction, ...[back, protects, rate, port.plug].flatMap((mark) => mark ?? [])];
}
