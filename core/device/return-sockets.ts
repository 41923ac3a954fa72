import type { Device, HdmiPort, Port } from "./device";

/** A socket that has a return channel, or of which nobody knows whether it has. */
export const mayReturn = (port: Port | undefined): port is HdmiPort => port?.connector === "hdmi" && port.returns !== "none";

/** A socket that is known to have a return channel. */
export const hasReturn = (port: Port | undefined): port is HdmiPort => mayReturn(port) && port.returns !== null;

/** A socket that can play the screen's part: an output that takes a sound system's return plug. */
export const isTurning = (port: Port): boolean => port.connector === "hdmi" && port.turnsWhen.length > 0;

/** Whether a device has an output that may have a return channel. */
export const mayTakeReturn = ({ ports }: Pick<Device, "ports">): boolean =>
  ports.some((port) => port.direction === "out" && mayReturn(port));
