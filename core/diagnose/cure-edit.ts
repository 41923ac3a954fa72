import { effectiveSetting } from "@/core/device";
import { findDevice, findPort, moveCableEnd, stepsOf, type Command, type Job, type SingleCommand } from "@/core/job";
import { unreachable } from "@/core/outcome";
import { withDrift } from "./drift";
import type { Cure } from "./step";

/**
 * What a cure that helped changes in the job, as one edit; null where the job is right as it is planned and only the room was not.
 * A menu is noted as left at its planned value, a broken socket or part as broken, a player that drifts as one that does.
 */
export function cureEdit(job: Job, cure: Cure): Command | null {
  switch (cure.does) {
    case "set": {
      const device = findDevice(job, cure.device);
      const setting = device?.settings.find(({ key }) => key === cure.setting);
      const wanted = device ? (effectiveSetting(device, cure.setting, "planned") ?? null) : null;
      if (!setting || wanted === null || setting.left === wanted) return null;
      return { kind: "set-setting", device: cure.device, setting: cure.setting, state: "left", value: wanted };
    }
    case "take-pcm":
      return takePcm(job, cure.device);
    case "other-socket":
      return otherSocket(job, cure.device, cure.port);
    case "go-round":
      return { kind: "edit-port", device: cure.device, port: cure.port, fields: { hdcp: "1.4" } };
    case "replace":
      return cure.unit === undefined ? { kind: "edit-device", device: cure.device, fields: { state: "dead" } } : null;
    case "seat":
    case "turn":
    case "lead":
    case "power":
    case "own-key":
    case "restart":
    case "cycle":
    case "unpair":
    case "update":
    case "other-title":
    case "unit":
    case "follow-arrivals":
      return null;
    default:
      return unreachable(cure);
  }
}

/** The player is noted as one that drifts, and planned to send PCM. */
function takePcm(job: Job, id: string): Command | null {
  const device = findDevice(job, id);
  if (!device) return null;
  const habits = withDrift(device);
  const commands: SingleCommand[] = [
    ...(habits ? [{ kind: "edit-device" as const, device: id, fields: { habits } }] : []),
    ...(device.settings.find(({ key }) => key === "player-audio")?.options.includes("pcm")
      ? [{ kind: "set-setting" as const, device: id, setting: "player-audio" as const, state: "planned" as const, value: "pcm" }]
      : []),
  ];
  return commands.length ? { kind: "batch", commands } : null;
}

/** The plug goes to the next free socket of its kind, and the old one is noted as broken. */
function otherSocket(job: Job, id: string, port: string): Command | null {
  const cable = job.cables.find(({ from, to }) => [from, to].some((end) => end.device === id && end.port === port));
  const own = findPort(job, { device: id, port });
  const taken = new Set(job.cables.flatMap(({ from, to }) => [from, to]).flatMap((end) => (end.device === id ? [end.port] : [])));
  const spare = findDevice(job, id)?.ports.find(
    (one) => one.connector === own?.connector && one.direction === own.direction && !taken.has(one.id) && !one.dead,
  );
  const noted: SingleCommand = { kind: "edit-port", device: id, port, fields: { dead: true } };
  if (!cable || !spare) return noted;
  const side = cable.from.device === id && cable.from.port === port ? "from" : "to";
  return { kind: "batch", commands: [...stepsOf(moveCableEnd(job, cable, side, { device: id, port: spare.id })), noted] };
}
