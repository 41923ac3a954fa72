import { busKind, hearsVolumeByInfrared, joinsControlAt, obeysVolumeKeys, volumeKeyTaker, type Device, type Port } from "@/core/device";
import type { Followed } from "./follow";
import { isAt, type Rig } from "./rig";

/** What moves the volume of a row: the screen's remote, the sound system's own, a knob, or nobody can tell. */
export type Volume =
  | { readonly by: "screen-remote"; readonly device: string }
  | { readonly by: "own-remote"; readonly device: string }
  | { readonly by: "knob"; readonly device: string }
  | { readonly by: "unknown" };

/**
 * Who moves the volume. The screen's remote does where a device on the way takes the screen's volume keys over HDMI control, or, where that
 * does not reach the sound system, where this hears the screen's infrared; else the sound system's own remote or knob. A screen set to its
 * own speakers keeps its keys to itself. A box that takes the keys in front of an amplifier with only a knob keeps the remote in charge.
 * Source: CEC 1.4 §13.13 and §13.15 system audio control.
 */
export function volumeOf(rig: Rig, followed: Followed, system: Device, screen: Device | undefined): Volume {
  if (screen && system.id === screen.id) return { by: "screen-remote", device: screen.id };
  const taker = screen && playsElsewhere(rig, screen) ? keyTaker(rig, followed, system, screen) : null;
  if (taker) return { by: "screen-remote", device: taker.id };
  switch (system.volume) {
    case "remote":
    case "remote-and-cec":
      return { by: "own-remote", device: system.id };
    case "knob":
      return { by: "knob", device: system.id };
    default:
      return { by: "unknown" };
  }
}

/** What changes its volume by the screen's keys: the sound system itself, or a box on the way that answers for it. */
function keyTaker(rig: Rig, { way }: Followed, system: Device, screen: Device): Device | null {
  const obeys = (device: Device) => obeysVolumeKeys(volumeKeyTaker(device), screen.maker);
  const hears = (device: Device) => device.id !== screen.id && hearsScreen(rig, device, screen);
  // A screen that hears nobody is not told who has the sound.
  const isTold = !screen.control.quirks.includes("sends-only");
  if (isTold && hears(system)) return obeys(system) ? system : null;
  const box = isTold
    ? way.find((step) => step.kind === "inside" && answersAsSystem(rig, step.device) && hears(step.device) && obeys(step.device))
    : undefined;
  if (box?.kind === "inside") return box.device;
  return hearsVolumeByInfrared(screen, system) ? system : null;
}

const answersAsSystem = (rig: Rig, device: Device): boolean => busKind(device, (key) => rig.setting(device, key)) === "audio";

const playsElsewhere = (rig: Rig, screen: Device): boolean => rig.setting(screen, "speakers") !== "own";

/** Whether a device and the screen speak CEC on one control wire. */
const hearsScreen = (rig: Rig, device: Device, screen: Device): boolean =>
  speaks(rig, device) && speaks(rig, screen) && isOnWireOf(rig, device, screen);

/** Whether the control wire leads from one device to another, through cables that have it and devices that join it; the nearest are asked first. */
function isOnWireOf(rig: Rig, from: Device, to: Device): boolean {
  const met = new Map([[from.id, from]]);
  for (const device of met.values())
    for (const { id } of hdmiOutwardsFirst(device)) {
      const end = { device: device.id, port: id };
      const cable = joinsControlAt(device, id) ? rig.cableAt(end) : undefined;
      if (!cable?.controlWire) continue;
      const far = isAt(cable.from, end) ? cable.to : cable.from;
      const next = rig.device(far.device);
      if (!next || !joinsControlAt(next, far.port)) continue;
      if (next.id === to.id) return true;
      met.set(next.id, met.get(next.id) ?? next);
    }
  return false;
}

const hdmiOutwardsFirst = ({ ports }: Device): readonly Port[] =>
  ["out", "in"].flatMap((direction) => ports.filter((port) => port.connector === "hdmi" && port.direction === direction));

const speaks = (rig: Rig, device: Device): boolean => device.speaksCec && rig.setting(device, "cec") !== "off";
