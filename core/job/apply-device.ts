import { BED_IDS } from "@/core/facts";
import { Port, type Device } from "@/core/device";
import { done, refused, unreachable, type Outcome } from "@/core/outcome";
import { briefWithout } from "./brief";
import { fieldsOf, insert, without, withoutUndefined, type Edit, type Result } from "./applied";
import { deviceBreaches } from "./breaches";
import type { SingleCommand } from "./command";
import type { DeviceCommand } from "./device-commands";
import { findDevice } from "./find";
import type { Job } from "./job";
import type { Refusal } from "./refusal";

/** Makes an edit of the devices of a job. */
export function applyToDevice(job: Job, command: DeviceCommand): Result {
  switch (command.kind) {
    case "add-device":
      return addDevice(job, command.device, command.at);
    case "remove-device":
      return removeDevice(job, command.device);
    case "rename-device":
      return changeDevice(job, command.device, (device) => renameDevice(device, command));
    case "edit-device":
      return changeDevice(job, command.device, (device) => editDevice(job, device, command));
    case "edit-port":
      return changeDevice(job, command.device, (device) => editPort(device, command));
    case "edit-source":
      return changeDevice(job, command.device, (device) => editSource(device, command));
    case "set-setting":
      return changeDevice(job, command.device, (device) => setSetting(device, command));
    case "set-speakers":
      return changeDevice(job, command.device, (device) => setSpeakers(device, command));
    case "set-contents":
      return changeDevice(job, command.device, (device) => setContents(device, command));
    default:
      return unreachable(command);
  }
}

function addDevice(job: Job, device: Device, at: number | null): Result {
  if (findDevice(job, device.id)) return refused({ code: "id-taken", id: device.id });
  return done({ job: { ...job, devices: insert(job.devices, device, at) }, inverse: { kind: "remove-device", device: device.id } });
}

function removeDevice(job: Job, id: string): Result {
  const at = job.devices.findIndex((device) => device.id === id);
  const device = job.devices[at];
  if (!device) return refused({ code: "no-such-device", device: id });
  if (job.brief.mustStay.includes(id)) return refused({ code: "must-stay", device: id });
  const cables = job.cables.filter((cable) => cable.from.device === id || cable.to.device === id).length;
  if (cables) return refused({ code: "device-has-cables", device: id, cables });
  const brief = briefWithout(job.brief, id);
  if (brief !== job.brief) {
    // What the brief says of it goes with it, and comes back with the undo.
    const batch: SingleCommand[] = [
      { kind: "add-device", device, at },
      { kind: "edit-job", fields: { brief: job.brief } },
    ];
    return done({
      job: { ...job, brief, devices: without(job.devices, at) },
      inverse: { kind: "batch", commands: batch },
    });
  }
  return done({ job: { ...job, devices: without(job.devices, at) }, inverse: { kind: "add-device", device, at } });
}

type DeviceChange = Outcome<{ device: Device; inverse: SingleCommand }, Refusal>;

/** An edit of one device of the job. */
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

function setSetting(device: Device, command: Edit<"set-setting">): DeviceChange {
  const setting = device.settings.find((row) => row.key === command.setting);
  if (!setting) return refused({ code: "no-such-setting", device: device.id, setting: command.setting });
  if (command.value !== null && !setting.options.includes(command.value)) {
    return refused({ code: "no-such-option", device: device.id, setting: command.setting, value: command.value });
  }
  const settings = device.settings.map((row) => (row === setting ? { ...row, [command.state]: command.value } : row));
  return done({ device: { ...device, settings }, inverse: { ...command, value: setting[command.state] } });
}

function setSpeakers(device: Device, command: Edit<"set-speakers">): DeviceChange {
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

function setContents(device: Device, command: Edit<"set-contents">): DeviceChange {
  const source = device.sources.find((row) => row.id === command.source);
  if (!source) return refused({ code: "no-such-source", device: device.id, source: command.source });
  if (command.contents.length > 24)
    return refused({ code: "value-out-of-range", field: "contents", expected: "at most 24 kinds of content" });
  const sources = device.sources.map((row) => (row === source ? { ...row, contents: command.contents } : row));
  return done({ device: { ...device, sources }, inverse: { ...command, contents: source.contents } });
}

function renameDevice(device: Device, command: Edit<"rename-device">): DeviceChange {
  if (command.name.trim() === "") return refused({ code: "name-empty" });
  if (command.name.length > 300) return refused({ code: "value-out-of-range", field: "name", expected: "at most 300 characters" });
  return done({ device: { ...device, name: command.name }, inverse: { ...command, name: device.name } });
}

/** Corrects what a device can do. The result must hold together: every way inside it joins sockets that it has. */
function editDevice(job: Job, device: Device, command: Edit<"edit-device">): DeviceChange {
  const given = withoutUndefined(command.fields);
  if (given.room && !job.rooms.some(({ id }) => id === given.room)) return refused({ code: "no-such-room", room: given.room });
  const changed: Device = { ...device, ...given };
  const [breach] = deviceBreaches(changed, []);
  if (breach)
    return refused({ code: "value-out-of-range", field: breach.place.join("."), expected: "sockets and sources that the device has" });
  return done({ device: changed, inverse: { ...command, fields: fieldsOf(device, given) } });
}

/** Corrects what a socket is; a field that its kind does not have is refused. */
function editPort(device: Device, command: Edit<"edit-port">): DeviceChange {
  const port = device.ports.find(({ id }) => id === command.port);
  if (!port) return refused({ code: "no-such-port", end: { device: device.id, port: command.port } });
  const given = withoutUndefined(command.fields);
  const strange = Object.keys(given).find((name) => !(name in port));
  const read = Port.safeParse({ ...port, ...given });
  if (strange || !read.success)
    return refused({ code: "value-out-of-range", field: strange ?? "socket", expected: "what this kind of socket can have" });
  const ports = device.ports.map((row) => (row === port ? read.data : row));
  return done({ device: { ...device, ports }, inverse: { ...command, fields: fieldsOf(port, given) } });
}

function editSource(device: Device, command: Edit<"edit-source">): DeviceChange {
  const source = device.sources.find(({ id }) => id === command.source);
  if (!source) return refused({ code: "no-such-source", device: device.id, source: command.source });
  const given = withoutUndefined(command.fields);
  const sources = device.sources.map((row) => (row === source ? { ...row, ...given } : row));
  return done({ device: { ...device, sources }, inverse: { ...command, fields: fieldsOf(source, given) } });
}
