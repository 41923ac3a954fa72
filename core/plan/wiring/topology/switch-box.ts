import type { Device } from "@/core/device";

/** A box with one HDMI output and nothing else that sound leaves by. */
export const isSwitchBox = ({ ports }: Device): boolean => {
  const outputs = ports.filter(({ direction }) => direction === "out");
  const soundOut = ports.some((port) => port.connector === "hdmi" && port.direction === "in" && port.returns === "earc");
  return outputs.length === 1 && outputs[0]?.connector === "hdmi" && !soundOut;
};
