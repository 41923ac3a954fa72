import type { SettingKey } from "@/core/facts";
import type { Device } from "@/core/device";
import { cartesianProduct } from "./product";

/** A setting as a plan sets it. */
export interface SettingChoice {
  readonly device: string;
  readonly key: SettingKey;
  readonly value: string;
}

/**
 * What a planner sets a setting to. One value: nothing is gained by another. Several: each is tried. Null: it stays as it was found,
 * because it is taste (how stereo is played), or a fact (who wakes whom, a module in its slot).
 */
const PLANNED: Readonly<Record<SettingKey, readonly string[] | null>> = {
  "control-wakes": null,
  "control-obeys": null,
  upmix: null,
  module: null,
  "sound-delay": null,
  "picture-mode": null,
  "player-audio": ["auto", "bitstream", "pcm", "dolby-digital", "dolby-digital-plus", "dts"],
  "digital-output": ["auto", "pass-through", "pcm", "dolby-digital"],
  speakers: ["external", "own"],
  earc: ["on"],
  arc: ["on"],
  cec: ["on", "off"],
  "decode-mode": ["auto"],
  "signal-format": ["enhanced"],
  "edid-mode": ["screen", "5.1", "2ch"],
  "arc-take": ["off", "on"],
  "sound-follows": ["lit", "output-a", "output-b"],
  "object-format": ["home-theater", "off"],
  "output-device": ["hdmi"],
  hdr: ["on"],
  bluetooth: ["on"],
  power: ["on"],
  "input-sound": ["on"],
  mute: ["off"],
  "volume-level": ["usual"],
  "socket-mode": ["output", "return"],
  "input-select": ["follows"],
  "video-format": ["auto"],
  "standby-pass": ["on"],
};

/** The values of a device's settings that are tried together. Without a sound system beside the screen its own speakers stay on. */
export function choicesOf(device: Device, isSystem: boolean): readonly (readonly SettingChoice[])[] {
  return device.settings.flatMap(({ key, options, found }): (readonly SettingChoice[])[] => {
    const wanted = (PLANNED[key] ?? []).filter((value) => options.includes(value));
    if (wanted.length === 0 || (key === "speakers" && isSystem)) return [];
    // What was found is tried first, so that a menu is visited only where that brings something.
    const ordered = found !== null && options.includes(found) ? [found, ...wanted.filter((value) => value !== found)] : wanted;
    return [ordered.map((value) => ({ device: device.id, key, value }))];
  });
}

/** Every combination of choices, one of each. */
export const combinations: (choices: readonly (readonly SettingChoice[])[]) => readonly (readonly SettingChoice[])[] = cartesianProduct;

/** The device with planned values for its settings. */
export function withSettings(device: Device, choices: readonly SettingChoice[]): Device {
  const own = choices.filter((choice) => choice.device === device.id);
  if (own.length === 0) return device;
  return {
    ...device,
    settings: device.settings.map((row) => {
      const choice = own.find(({ key }) => key === row.key);
      return choice ? { ...row, planned: choice.value === row.found ? null : choice.value } : row;
    }),
  };
}

/** The device with its settings as planned where one value is considered, and known to nobody where several are. */
export function undecided(device: Device, choices: readonly (readonly SettingChoice[])[]): Device {
  const open = new Set(choices.flatMap((values) => (values.length > 1 && values[0]?.device === device.id ? [values[0].key] : [])));
  const set = withSettings(
    device,
    choices.flatMap((values) => (values.length === 1 ? values : [])),
  );
  if (open.size === 0) return set;
  return { ...set, settings: set.settings.map((row) => (open.has(row.key) ? { ...row, found: null, planned: null } : row)) };
}

/** How many of these differ from what was found at the devices: so many menus are to be visited. */
export const menusOf = (devices: readonly Device[], choices: readonly SettingChoice[]): number =>
  devices.reduce(
    (sum, device) =>
      sum +
      choices.filter(
        (choice) => choice.device === device.id && device.settings.find(({ key }) => key === choice.key)?.found !== choice.value,
      ).length,
    0,
  );
