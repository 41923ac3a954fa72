import type { SettingKey } from "@/core/facts";
import type { Condition, Device } from "@/core/device";
import type { Reason, UnknownFact } from "./reason";
import type { Rig } from "./rig";

/** Whether something inside a device may work: null and null when it may. */
export interface Gate {
  readonly reason: Reason | null;
  readonly fact: UnknownFact | null;
}

export const OPEN: Gate = { reason: null, fact: null };

/** The first of the conditions that does not hold, or the first that nobody can tell. A condition on a setting the device does not have holds. */
export function gateOf(rig: Rig, device: Device, conditions: readonly Condition[]): Gate {
  let unsure: Gate = OPEN;
  for (const condition of conditions) {
    const gate = oneGate(rig, device, condition);
    if (gate.reason) return gate;
    if (gate.fact) unsure = gate;
  }
  return unsure;
}

function oneGate(rig: Rig, device: Device, condition: Condition): Gate {
  if ("unplugged" in condition) {
    const end = { device: device.id, port: condition.unplugged };
    return rig.cableAt(end) ? { reason: { code: "plug-mutes", ...end }, fact: null } : OPEN;
  }
  if ("soundFollows" in condition) return followsGate(rig, device, condition.soundFollows);
  const choices = "either" in condition ? condition.either : [condition];
  const gates = choices.map((choice) => settingGate(rig, device, choice));
  const open = gates.find(({ reason, fact }) => !reason && !fact);
  if (open) return open;
  const unsure = gates.find(({ fact }) => fact !== null);
  if (unsure) return unsure;
  const [first] = choices;
  const same = first && choices.every(({ setting }) => setting === first.setting);
  const [gate] = gates;
  return gate?.reason?.code === "setting-shuts" && same
    ? { reason: { ...gate.reason, wanted: choices.map(({ value }) => value) }, fact: null }
    : (gate ?? OPEN);
}

function settingGate(rig: Rig, device: Device, { setting: key, value: wanted }: { setting: SettingKey; value: string }): Gate {
  const value = rig.setting(device, key);
  if (value === null) return { reason: null, fact: { fact: "setting", device: device.id, setting: key } };
  if (value === undefined || value === wanted) return OPEN;
  if (key === "speakers") return { reason: { code: "speakers-choice", device: device.id, value }, fact: null };
  return { reason: { code: "setting-shuts", device: device.id, setting: key, value, wanted: [wanted] }, fact: null };
}

/** A box with several outputs gives its sound output to the screen in use, or always to one of them. */
function followsGate(rig: Rig, device: Device, outputs: Readonly<Record<string, string>>): Gate {
  const value = rig.setting(device, "sound-follows");
  if (value === null) return { reason: null, fact: { fact: "setting", device: device.id, setting: "sound-follows" } };
  const output = value === undefined ? undefined : outputs[value];
  const lit = rig.litOutputs.get(device.id);
  if (value === undefined || output === undefined || lit === undefined || lit === output) return OPEN;
  const wanted = ["lit", ...Object.keys(outputs).filter((name) => outputs[name] === lit)];
  return { reason: { code: "setting-shuts", device: device.id, setting: "sound-follows", value, wanted }, fact: null };
}
