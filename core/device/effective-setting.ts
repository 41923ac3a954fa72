import type { SettingKey } from "@/core/facts";
import type { Device } from "./device";

/** The three moments of a job at which its settings can be read. */
export type SettingState = "found" | "planned" | "left";

/**
 * The value a setting has at a moment: a plan that says nothing leaves it as found, and so does the visit.
 * `undefined`: the device has no such setting. `null`: it has one and nobody knows its value.
 */
export function effectiveSetting(device: Device, key: SettingKey, state: SettingState): string | null | undefined {
  const setting = device.settings.find((row) => row.key === key);
  if (!setting) return undefined;
  if (state === "found") return setting.found;
  const planned = setting.planned ?? setting.found;
  return state === "planned" ? planned : (setting.left ?? planned);
}
