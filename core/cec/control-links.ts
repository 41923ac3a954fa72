import { effectiveSetting, joinsControlAt, type SettingState } from "@/core/device";
import { findDevice, findPort, type CableEnd, type Job } from "@/core/job";
import type { Cut } from "./topology";

/** Whether HDMI control (CEC) crosses a cable; if not, where its wire is cut, or which end takes no part though the wire is there. */
export type ControlLink =
  | { readonly carries: true }
  | { readonly carries: false; readonly cut: Cut }
  | { readonly carries: false; readonly device: string; readonly why: "switched-off" | "not-known" };

/**
 * For every HDMI cable, whether CEC crosses it: the cable has the wire, both sockets join it, and both ends have control on.
 * Source: CEC 1.4 §4, one wire per HDMI tree.
 */
export function controlLinks(job: Job, state: SettingState = "planned"): ReadonlyMap<string, ControlLink> {
  return new Map(
    job.cables
      .filter(({ from, to }) => [from, to].every((end) => findPort(job, end)?.connector === "hdmi"))
      .map(({ id, from, to, controlWire }): [string, ControlLink] => {
        if (!controlWire) return [id, { carries: false, cut: { at: "cable", cable: id } }];
        const stops = [from, to].flatMap((end) => stopAt(job, end, state) ?? []);
        // Where the wire itself ends, a setting is beside the point.
        return [id, stops.find((stop) => "cut" in stop) ?? stops[0] ?? { carries: true }];
      }),
  );
}

function stopAt(job: Job, end: CableEnd, state: SettingState): Exclude<ControlLink, { carries: true }> | null {
  const device = findDevice(job, end.device);
  if (!device) return null;
  if (!device.speaksCec) return { carries: false, cut: { at: "device", device: device.id } };
  if (!joinsControlAt(device, end.port)) return { carries: false, cut: { at: "socket", ...end } };
  const value = effectiveSetting(device, "cec", state);
  if (value === "off") return { carries: false, device: device.id, why: "switched-off" };
  return value === null ? { carries: false, device: device.id, why: "not-known" } : null;
}
