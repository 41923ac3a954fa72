import type { Device } from "@/core/device";
import { optionLabel, type SettingKey } from "@/core/facts";
import { findDevice, type Job } from "@/core/job";

/** The value of a setting of a device in words; one of its sockets by its print. */
export const settingValue = (device: Pick<Device, "ports"> | undefined, key: SettingKey, value: string): string =>
  optionLabel(key, value, (socket) => `“${device?.ports.find(({ id }) => id === socket)?.label ?? socket}”`);

/** The same for a device of a job by its id. */
export const settingValueIn = (job: Job, device: string, key: SettingKey, value: string): string =>
  settingValue(findDevice(job, device), key, value);
