import type { Device } from "@/core/device";
import type { Job } from "./job";

/** A device as it comes into a room: a screen plays from its own speakers while there is no sound system to leave the sound to. */
export function asAdded({ devices }: Pick<Job, "devices">, device: Device): Device {
  if (device.role !== "screen" || devices.some(({ role }) => role === "sound")) return device;
  return {
    ...device,
    settings: device.settings.map((row) => (row.key === "speakers" && row.options.includes("own") ? { ...row, found: "own" } : row)),
  };
}
