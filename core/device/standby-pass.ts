import type { SettingKey } from "@/core/facts";
import type { Device } from "./device";
import { effectiveSetting, type SettingState } from "./effective-setting";

/** The setting by which a sound system passes pictures on while it sleeps. */
export const PASS_SETTING: SettingKey = "standby-pass";

/**
 * Whether a sound system passes pictures on while it sleeps; null: nobody knows how that is set. One without such a setting is not known to,
 * so it has to be on.
 */
export function passesAsleep(device: Device, state: SettingState): boolean | null {
  const value = effectiveSetting(device, PASS_SETTING, state);
  return value === null ? null : value === "on";
}
