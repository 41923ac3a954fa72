import { fromShelfOrThrow, type Device, type SoundDescriptor } from "@/core/device";
import { makeEdid, type EdidPlan } from "./make-edid";
import type { Edid } from "./edid";

/** Ours are invented: no such identifier is registered. */
const MANUFACTURER = "OCT";
const YEAR = 2026;

/**
 * The EDID that a device shows at one of its HDMI inputs: the pictures of its own screen, or those of an ordinary 4K one where it has
 * none, and the sounds of its list or its decoders. Null where the device has no HDMI input, or nobody knows what it lists.
 */
export function edidOfDevice(device: Device, port?: string): Edid | null {
  const input = device.ports.find((one) => one.connector === "hdmi" && one.direction === "in" && (port === undefined || one.id === port));
  const sounds = input ? soundsShownAt(device, input.id) : null;
  if (input?.connector !== "hdmi" || !sounds) return null;
  const display = device.display ?? fromShelfOrThrow("tv-earc", { id: "screen" }).display;
  if (!display) return null;
  const plan: EdidPlan = {
    name: device.name,
    manufacturer: MANUFACTURER,
    year: YEAR,
    display,
    maxGbps: input.maxGbps,
    sounds,
    speakers: device.speakers?.bed ?? null,
    physicalAddress: device.display ? "1.0.0.0" : "1.1.0.0",
  };
  return makeEdid(plan);
}

function soundsShownAt(device: Device, port: string): readonly SoundDescriptor[] | null {
  const rule = device.presents.find(({ ports }) => ports.includes(port));
  switch (rule?.rule) {
    case "list":
      return rule.sound;
    case "decoders":
      return device.decodes;
    case "copy":
    case "common":
      return null;
    default:
      return [];
  }
}
