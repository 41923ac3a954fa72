import type { Port } from "@/core/device";

/** What a socket is marked with beside its print: direction, return channel, protected 4K. */
export function socketMarks(port: Port): readonly string[] {
  const direction = port.direction === "in" ? "in" : "out";
  if (port.connector !== "hdmi") return [direction];
  const back = port.returns === null ? "return?" : port.returns === "earc" ? "eARC" : port.returns === "arc" ? "ARC" : null;
  const protects = port.hdcp === "2.2" || port.hdcp === "2.3" ? "4K" : null;
  return [direction, ...(back ? [back] : []), ...(protects ? [protects] : [])];
}
