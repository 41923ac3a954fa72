import { hearsVolumeByInfrared, type Device, type Port } from "@/core/device";
import type { Followed } from "./follow";
import type { Rig } from "./rig";

/** What moves the volume of a row: the screen's remote, the sound system's own, a knob, or nobody can tell. */
export type Volume =
  | { readonly by: "screen-remote"; readonly device: string }
  | { readonly by: "own-remote"; readonly device: string }
  | { readonly by: "knob"; readonly device: string }
  | { readonly by: "unknown" };

/**
 * Who moves the volume. The screen's remote does where a device on the way takes CEC volume over an HDMI cable from the screen, or the sound system
 * hears the screen's infrared; else the sound system's own remote or knob. A box that takes CEC volume in front of an amplifier with only a knob keeps the remote in charge.
 * Source: CEC 1.4 §13.15 system audio control.
 */
export function volumeOf(rig: Rig, followed: Followed, system: Device, screen: Device | undefined): Volume {
  if (screen && system.id === screen.id) return { by: "screen-remote", device: screen.id };
  const obeys = (device: Device): boolean =>
    (device.volume === "cec" || device.volume === "remote-and-cec") && device.id !== screen?.id && hearsScreen(rig, device, screen);
  for (const step of followed.way) if (step.kind === "inside" && obeys(step.device)) return { by: "screen-remote", device: step.device.id };
  if (obeys(system)) return { by: "screen-remote", device: system.id };
  if (screen && hearsVolumeByInfrared(screen, system)) return { by: "screen-remote", device: system.id };
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

/** Whether a device and the screen share an HDMI cable and speak CEC at both ends. */
function hearsScreen(rig: Rig, device: Device, screen: Device | undefined): boolean {
  if (!screen || !speaks(rig, device) || !speaks(rig, screen)) return false;
  // From a screen without an output no cable leads anywhere, so its inputs alone are asked about.
  const sendsOn = screen.ports.some((port) => isHdmi(port, "out"));
  return device.ports.some((port) => {
    const cable = isHdmi(port, "out") || (sendsOn && isHdmi(port, "in")) ? rig.cableAt({ device: device.id, port: port.id }) : undefined;
    return cable !== undefined && (cable.from.device === screen.id || cable.to.device === screen.id);
  });
}

const isHdmi = (port: Port, direction: Port["direction"]): boolean => port.connector === "hdmi" && port.direction === direction;

const speaks = (rig: Rig, device: Device): boolean => device.speaksCec && rig.setting(device, "cec") !== "off";
