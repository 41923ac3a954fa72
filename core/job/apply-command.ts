import { BED_IDS } from "@/core/facts";
import type { Device } from "@/core/device";
import { done, refused, unreachable, type Outcome } from "@/core/outcome";
import type { Command, SingleCommand } from "./command";
import { findDevice } from "./find";
import { Job, type Cable } from "./job";
import type { Refusal } from "./refusal";
import { whyNotCable } from "./why-not-plug";

/** A job after an edit, and the edit that takes it back to the byte. */
export interface Applied {
  readonly job: Job;
  readonly inverse: Command;
}
type Result = Outcome<Applied, Refusal>;

/** Makes an edit, or says why not. The job given is never changed. */
export function applyCommand(job: Job, command: Command): Result {
  if (command.kind !== "batch") return applySingle(job, command);
  let current = job;
  const inverses: SingleCommand[] = [];
  for (const step of command.commands) {
    const result = applySingle(current, step);
    if (!result.ok) return result;
    current = result.value.job;
    const { inverse } = result.value;
    inverses.unshift(...(inverse.kind === "batch" ? inverse.commands : [inverse]));
  }
  return done({ job: current, inverse: { kind: "batch", commands: inverses } });
}

function applySingle(job: Job, command: SingleCommand): Result {
  switch (command.kind) {
    case "edit-job":
      return editJob(job, command.fields);
    case "add-device":
      return addDevice(job, command.device, command.at);
    case "remove-device":
      return removeDevice(job, command.device);
    case "rename-device":
      return command.name.trim() === ""
        ? refused({ code: "name-empty" })
        : command.name.length > 300
          ? refused({ code: "value-out-of-range", field: "name", expected: "at most 300 characters" })
          : changeDevice(job, command.device, (device) =>
              done({ device: { ...device, name: command.name }, inverse: { ...command, name: device.name } }),
            );
    case "set-setting":
      return changeDevice(job, command.device, (device) => setSetting(device, command));
    case "set-speakers":
      return changeDevice(job, command.device, (device) => setSpeakers(device, command));
    case "set-contents":
      return changeDevice(job, command.device, (device) => setContents(device, command));
    case "plug":
      return plug(job, command.cable, command.at);
    case "unplug":
      return unplug(job, command.cable);
    case "edit-cable":
      return editCable(job, command);
    default:
      return unreachable(command);
  }
}

function editJob(job: Job, fields: Extract<SingleCommand, { kind: "edit-job" }>["fields"]): Result {
  const given = withoutUndefined(fields);
  const system = given.brief?.soundSystem;
  if (system && !findDevice(job, system)) return refused({ code: "no-such-device", device: system });
  if (given.name?.trim() === "") return refused({ code: "name-empty" });
  const before = Object.fromEntries(Object.keys(given).map((key) => [key, job[key as keyof typeof given]]));
  return done({ job: { ...job, ...given }, inverse: { kind: "edit-job", fields: before } });
}

function addDevice(job: Job, device: Device, at: number | null): Result {
  if (findDevice(job, device.id)) return refused({ code: "id-taken", id: device.id });
  return done({ job: { ...job, devices: insert(job.devices, device, at) }, inverse: { kind: "remove-device", device: device.id } });
}

function removeDevice(job: Job, id: string): Result {
  const at = job.devices.findIndex((device) => device.id === id);
  const device = job.devices[at];
  if (!device) return refused({ code: "no-such-device", device: id });
  const cables = job.cables.filter((cable) => cable.from.device === id || cable.to.device === id).length;
  if (cables) return refused({ code: "device-has-cables", device: id, cables });
  if (job.brief.soundSystem === id) {
    // The choice of this sound system goes with it, and comes back with the undo.
    const batch: SingleCommand[] = [
      { kind: "add-device", device, at },
      { kind: "edit-job", fields: { brief: job.brief } },
    ];
    return done({
      job: { ...job, brief: { ...job.brief, soundSystem: null }, devices: without(job.devices, at) },
      inverse: { kind: "batch", commands: batch },
    });
  }
  return done({ job: { ...job, devices: without(job.devices, at) }, inverse: { kind: "add-device", device, at } });
}

type DeviceChange = Outcome<{ device: Device; inverse: SingleCommand }, Refusal>;

function changeDevice(job: Job, id: string, change: (device: Device) => DeviceChange): Result {
  const device = findDevice(job, id);
  if (!device) return refused({ code: "no-such-device", device: id });
  const result = change(device);
  if (!result.ok) return result;
  return done({
    job: { ...job, devices: job.devices.map((row) => (row === device ? result.value.device : row)) },
    inverse: result.value.inverse,
  });
}

function setSetting(device: Device, command: Extract<SingleCommand, { kind: "set-setting" }>): DeviceChange {
  const setting = device.settings.find((row) => row.key === command.setting);
  if (!setting) return refused({ code: "no-such-setting", device: device.id, setting: command.setting });
  if (command.value !== null && !setting.options.includes(command.value)) {
    return refused({ code: "no-such-option", device: device.id, setting: command.setting, value: command.value });
  }
  const settings = device.settings.map((row) => (row === setting ? { ...row, [command.state]: command.value } : row));
  return done({ device: { ...device, settings }, inverse: { ...command, value: setting[command.state] } });
}

function setSpeakers(device: Device, command: Extract<SingleCommand, { kind: "set-speakers" }>): DeviceChange {
  if (!device.speakers) return refused({ code: "value-out-of-range", field: "speakers", expected: "a device that has speakers" });
  if (!BED_IDS.includes(command.bed) || !Number.isInteger(command.heights) || command.heights < 0 || command.heights > 6) {
    return refused({ code: "value-out-of-range", field: "heights", expected: "a whole number from 0 to 6" });
  }
  const { bed, heights } = device.speakers;
  return done({
    device: { ...device, speakers: { ...device.speakers, bed: command.bed, heights: command.heights } },
    inverse: { ...command, bed, heights },
  });
}

function setContents(device: Device, command: Extract<SingleCommand, { kind: "set-contents" }>): DeviceChange {
  const source = device.sources.find((row) => row.id === command.source);
  if (!source) return refused({ code: "no-such-source", device: device.id, source: command.source });
  if (command.contents.length > 24)
    return refused({ code: "value-out-of-range", field: "contents", expected: "at most 24 kinds of content" });
  const sources = device.sources.map((row) => (row === source ? { ...row, contents: command.contents } : row));
  return done({ device: { ...device, sources }, inverse: { ...command, contents: source.contents } });
}

function plug(job: Job, cable: Cable, at: number | null): Result {
  const refusal = whyNotCable(job, cable);
  if (refusal) return refused(refusal);
  return done({ job: { ...job, cables: insert(job.cables, cable, at) }, inverse: { kind: "unplug", cable: cable.id } });
}

function unplug(job: Job, id: string): Result {
  const at = job.cables.findIndex((cable) => cable.id === id);
  const cable = job.cables[at];
  if (!cable) return refused({ code: "no-such-cable", cable: id });
  return done({ job: { ...job, cables: without(job.cables, at) }, inverse: { kind: "plug", cable, at } });
}

function editCable(job: Job, command: Extract<SingleCommand, { kind: "edit-cable" }>): Result {
  const at = job.cables.findIndex((cable) => cable.id === command.cable);
  const cable = job.cables[at];
  if (!cable) return refused({ code: "no-such-cable", cable: command.cable });
  const given = withoutUndefined(command.fields);
  const changed = { ...cable, ...given };
  const refusal = whyNotCable({ ...job, cables: without(job.cables, at) }, changed);
  if (refusal) return refused(refusal);
  const before = Object.fromEntries(Object.keys(given).map((key) => [key, cable[key as keyof typeof given]]));
  return done({
    job: { ...job, cables: job.cables.map((row) => (row === cable ? changed : row)) },
    inverse: { kind: "edit-cable", cable: cable.id, fields: before },
  });
}

function insert<Row>(rows: readonly Row[], row: Row, at: number | null): Row[] {
  const place = at === null ? rows.length : Math.min(at, rows.length);
  return [...rows.slice(0, place), row, ...rows.slice(place)];
}

const without = <Row>(rows: readonly Row[], at: number): Row[] => rows.filter((_, index) => index !== at);

/** A field given as undefined counts as not given. */
function withoutUndefined<Fields extends object>(fields: Fields): { [Key in keyof Fields]?: Exclude<Fields[Key], undefined> } {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as never;
}
