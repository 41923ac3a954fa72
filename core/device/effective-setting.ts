import type { SettingKey } from "@/core/facts";
import type { Condition, Device } from "./device";

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

/**
 * Whether a condition fails by a setting that is known, whatever the others are. What asks for a plug or a screen in use fails by none.
 * @param valueOf the value of a setting; null or undefined where nobody knows it, or there is no such setting
 */
export function failsBySettings(condition: Condition, valueOf: (key: SettingKey) => string | null | undefined): boolean {
  const fails = ({ setting, value: wanted }: { readonly setting: SettingKey; readonly value: string }) => {
    const value = valueOf(setting) ?? null;
    return value !== null && value !== wanted;
  };
  if ("either" in condition) return condition.either.every(fails);
  return "setting" in condition && fails(condition);
}
