import { effectiveSetting } from "@/core/device";
import type { Fault } from "@/core/diagnose";
import { cableClassName, deviceName, lowerFirst, socketName, socketPrint, upperFirst } from "./names";
import { unitName } from "./unit-name";
import { FAULT_KIND_IDS, settingFact, type CableClass, type FaultKind, type SettingKey } from "@/core/facts";
import { findDevice, type Job } from "@/core/job";
import { cableMark } from "./cable-words";
import { FAULT_KIND_WORDS } from "./fault-kind-words";
import { settingValue, settingValueIn } from "./setting-words";

/** What may be wrong, as a sentence. */
export function faultSentence(job: Job, { kind, at }: Pick<Fault, "kind" | "at">): string {
  const device = at.device === undefined ? "" : deviceName(job, at.device);
  const unit = at.device !== undefined && at.unit !== undefined ? lowerFirst(unitName(job, { device: at.device, unit: at.unit })) : "";
  const cable = cableWithMark(job, at.cable);
  const plug = plugWords(job, at.cable, at.side);
  switch (kind) {
    case "wrong-input":
    case "muted":
    case "volume-zero":
    case "asleep":
    case "own-speakers":
    case "wrong-format":
    case "return-off":
    case "control-off":
    case "control-switch":
    case "input-sound-off":
    case "wrong-edid":
    case "sound-mode":
    case "picture-setting":
    case "wrong-output":
    case "delay-set":
    case "other-setting":
      return at.setting === undefined
        ? `A setting of ${device} is wrong.`
        : `“${settingFact(at.setting).name}” at ${device} is ${settingValueIn(job, at.device ?? "", at.setting, at.value ?? "")}.`;
    case "cable-out":
      return `${upperFirst(plug)} is out.`;
    case "half-in":
      return `${upperFirst(plug)} is not fully in.`;
    case "wrong-socket":
      return `${upperFirst(plug)} is in ${otherSocket(job, at.cable, at.side, at.value)} instead.`;
    case "cap-on":
      return `${upperFirst(plug)} still has its cap on.`;
    case "backwards":
      return `${upperFirst(cable)} is the wrong way round.`;
    case "stale":
      return `The two ends of ${cable} are stuck since they last found each other.`;
    case "no-power":
      return `${device} has no power.`;
    case "headphones":
      return `${device} plays into headphones.`;
    case "stereo-title":
      return `The title itself has stereo alone: ${rowName(job, at.row)}.`;
    case "drifting":
      return `${device} slips out of step with its bitstream after a while.`;
    case "no-return-wires":
      return `${upperFirst(cable)} ${at.value === "arc" ? "carries ARC and not eARC" : "has no return wires"}.`;
    case "no-control-wire":
      return `${upperFirst(cable)} has no control wire.`;
    case "slow-cable":
      return `${upperFirst(cable)} is only ${cableClassName(at.value as CableClass)}.`;
    case "broken-cable":
      return `${upperFirst(cable)} is broken.`;
    case "old-firmware":
      return `${device} has old firmware, and its eARC falls back to ARC.`;
    case "hdcp-old":
      return `${device} ${portPrint(job, at.device, at.port)} has HDCP 1.4 only.`;
    case "unit-unpaired":
      return `The ${unit} has lost its pairing.`;
    case "unit-flat":
      return `The battery of the ${unit} is flat.`;
    case "unit-misplaced":
      return `The ${unit} stands in the wrong place.`;
    case "units-swapped":
      return `The ${unit} and its partner are exchanged.`;
    case "unit-reversed":
      return `The wire of the ${unit} is reversed, red to black.`;
    case "dead-device":
      return `${device} is broken.`;
    case "dead-socket":
      return `${device} ${portPrint(job, at.device, at.port)} is broken.`;
    case "dead-unit":
      return `The ${unit} is broken.`;
    case "as-recorded":
      return "Nothing is broken: the room as it is recorded cannot do more.";
    case "unknown":
      return "Something that this model does not know.";
  }
}

/** What a cure of a setting puts it to. */
export const wantedValue = (job: Job, device: string, setting: SettingKey): string => {
  const found = findDevice(job, device);
  const value = found && effectiveSetting(found, setting, "planned");
  return value === null || value === undefined ? "as it was" : settingValue(found, setting, value);
};

/** "cable C3, Bar to Television". */
export function cableWithMark(job: Job, id: string | undefined): string {
  const cable = job.cables.find((one) => one.id === id);
  return cable
    ? `cable ${cableMark(job, cable)}, ${deviceName(job, cable.from.device)} to ${deviceName(job, cable.to.device)},`.replace(/,$/, "")
    : "the cable";
}

/** "the plug of C3 at Television “HDMI 3 eARC”". */
export function plugWords(job: Job, id: string | undefined, side: "from" | "to" | undefined): string {
  const cable = job.cables.find((one) => one.id === id);
  return cable && side ? `the plug of ${cableMark(job, cable)} at ${socketName(job, cable[side])}` : "the plug";
}

const otherSocket = (job: Job, id: string | undefined, side: "from" | "to" | undefined, port: string | undefined): string => {
  const cable = job.cables.find((one) => one.id === id);
  return cable && side && port ? socketPrint(job, { device: cable[side].device, port }) : "another socket";
};

const portPrint = (job: Job, device: string | undefined, port: string | undefined): string =>
  device !== undefined && port !== undefined ? socketPrint(job, { device, port }) : "";

/** A content by its row: "Streamer, film in surround". */
export function rowName(job: Job, row: string | undefined): string {
  const [device = "", source = "", rest = ""] = (row ?? "").split("/");
  const [content] = rest.split("@");
  const player = findDevice(job, device);
  const from = player?.sources.find(({ id }) => id === source);
  const found = from?.contents.find(({ id }) => id === content);
  if (!player || !found) return row ?? "";
  return `${player.name}${from && from.kind !== "media" ? `, ${from.name}` : ""}, ${found.name}${rest.includes("@") ? ` on ${deviceName(job, rest.split("@")[1] ?? "")}` : ""}`;
}

/** A fault by its id alone, as a record names it: its kind and what it is at, as far as that is still there. */
export function faultIdWords(job: Job, id: string): string {
  const [kind = "", place = ""] = id.split(/:(.*)/s);
  const words = FAULT_KIND_IDS.includes(kind as FaultKind) ? FAULT_KIND_WORDS[kind as FaultKind] : id;
  const parts = place.split(/[/=]/).flatMap((part) => {
    if (findDevice(job, part)) return [deviceName(job, part)];
    return job.cables.some((cable) => cable.id === part) ? [cableWithMark(job, part)] : [];
  });
  return parts.length ? `${words}: ${parts.join(", ")}` : words;
}
