import type { Device, HdmiPort } from "./device";

/** Whether a socket has the protection that 4K content asks for: HDCP 2.2 or later. */
export const isProtected = ({ hdcp }: HdmiPort): boolean => hdcp === "2.2" || hdcp === "2.3";

/**
 * The plainer HDMI inputs of a hub that serve an output as well as the one it sits in: without protection of 4K (HDCP 2.2) for an output
 * that has none, or of a lower rate that is all the output sends. Sockets with a return channel are never plain, and where a rate or an
 * edition of HDCP is not known nothing is said.
 */
export function plainerSockets(hub: Device, into: HdmiPort, out: HdmiPort): readonly HdmiPort[] {
  if (into.hdcp === null || out.hdcp === null || into.maxGbps === null || out.maxGbps === null) return [];
  const used = Math.min(out.maxGbps, into.maxGbps);
  return hub.ports.filter((plain): plain is HdmiPort => {
    if (plain.connector !== "hdmi" || plain.direction !== "in" || plain.returns !== "none") return false;
    if (plain.hdcp === null || plain.maxGbps === null) return false;
    const isPlainer = (isProtected(into) && !isProtected(plain)) || plain.maxGbps < (into.maxGbps ?? 0);
    const serves = (isProtected(plain) || !isProtected(into) || !isProtected(out)) && plain.maxGbps >= used;
    return isPlainer && serves;
  });
}
