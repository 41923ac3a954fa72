import type { CecKind, SettingKey } from "@/core/facts";
import type { Device } from "./device";
import { hasReturn } from "./return-sockets";

/** What a setting stands at; undefined where the device has none of that name, null where nobody knows. */
type ValueOf = (key: SettingKey) => string | null | undefined;

/**
 * What a device is on the control bus; null where it holds no address: a plain box only passes the wire on, or not. One that takes the
 * screen's return channel answers as the sound system, for an amplifier that cannot. Source: CEC 1.4 §10.2, table of device types.
 */
export function busKind(device: Device, valueOf: ValueOf): CecKind | null {
  const { control, role, sources, display } = device;
  if (control.kind) return control.kind;
  switch (role) {
    case "screen":
      return display ? "tv" : null;
    case "sound":
      return "audio";
    case "player":
      return sources.length > 0 && sources.every(({ kind }) => kind === "tuner") ? "tuner" : "playback";
    case "box":
      return takesReturn(device, valueOf) ? "audio" : null;
  }
}

/** A box's output that takes the return channel, with the switches set for it. */
const takesReturn = (device: Device, valueOf: ValueOf): boolean =>
  device.ports.some(
    (port) =>
      port.direction === "out" &&
      hasReturn(port) &&
      port.returnOpens.every((one) => !("setting" in one) || valueOf(one.setting) === one.value),
  );

/**
 * Whether the control wire of a socket goes on inside a device, to its other sockets that it joins; a setting does not part it.
 * Source: CEC 1.4 §4: the line is one wire through all that are on it.
 */
export const joinsControlAt = ({ speaksCec, control: { joins } }: Pick<Device, "speaksCec" | "control">, port: string): boolean =>
  speaksCec && (joins === null || joins.includes(port));
