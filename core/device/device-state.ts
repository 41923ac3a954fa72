import type { Device } from "./device";

/** How a device is at the moment, beside what its kind can do and how it is set. */
export const DEVICE_STATES = ["works", "no-power", "dead", "headphones", "old-firmware"] as const;
export type DeviceState = (typeof DEVICE_STATES)[number];

/** How a lead is at the moment. All but the first carry nothing. */
export const CABLE_STATES = ["sound", "half-in", "cap-on", "stale", "broken"] as const;
export type CableState = (typeof CABLE_STATES)[number];

/** How one speaker unit plays at the moment. */
export const UNIT_STATES = ["plays", "unpaired", "flat", "misplaced", "other-side", "reversed", "dead"] as const;
export type UnitState = (typeof UNIT_STATES)[number];

/** Devices are never changed in place, so what is left of each is made once. */
const left = new WeakMap<Device, Device>();

/** What is left of a device in its present state; the same object where that is all of it. */
export function asDeviceStands(device: Device): Device {
  if (device.state === "works") return device;
  const known = left.get(device) ?? leftOf(device);
  left.set(device, known);
  return known;
}

function leftOf(device: Device): Device {
  switch (device.state) {
    case "works":
      return device;
    case "no-power":
    case "dead":
      return { ...device, routes: [], presents: [], speaksCec: false };
    case "headphones": {
      // What plays inside goes to the ears of one person; what comes in from elsewhere is handed on as before.
      const sources = new Set(device.sources.map(({ id }) => id));
      const routes = device.routes.flatMap((route): Device["routes"] => {
        if (route.kind !== "sound") return [route];
        const from = route.from.filter((one) => !sources.has(one));
        return from.length ? [{ ...route, from }] : [];
      });
      return { ...device, routes };
    }
    case "old-firmware":
      // Its eARC does not come up and falls back: the commonest of what an update mends.
      return {
        ...device,
        ports: device.ports.map((port) => (port.connector === "hdmi" && port.returns === "earc" ? { ...port, returns: "arc" } : port)),
      };
  }
}

/** What a person hears when a test tone is sent to one unit. */
export type ToneHeard = "plays" | "nothing" | "from-the-other-side" | "hollow" | "from-the-wrong-place";

/** What is heard of a unit: a reversed pair sounds hollow, since its halves work against each other. */
export function toneOf(state: UnitState): ToneHeard {
  switch (state) {
    case "plays":
      return "plays";
    case "unpaired":
    case "flat":
    case "dead":
      return "nothing";
    case "misplaced":
      return "from-the-wrong-place";
    case "other-side":
      return "from-the-other-side";
    case "reversed":
      return "hollow";
  }
}
