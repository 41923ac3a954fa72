import { cableClassFact, settingFact } from "@/core/facts";
import {
  sortCommand,
  type CableCommand,
  type Command,
  type DeviceCommand,
  type HandoverCommand,
  type Job,
  type JobCommand,
  type KeptCommand,
  type RoomCommand,
  type SingleCommand,
  type VisitCommand,
} from "@/core/job";
import { cableShortName, deviceName, roomName, socketName, socketPrint } from "./names";
import { unitName } from "./unit-name";
import { settingValueIn } from "./setting-words";

/** The name of an edit, for undo and for what just happened: "plugged Streamer into Television “HDMI 2”". `job` is the job before it. */
export function commandWords(job: Job, command: Command): string {
  if (command.kind !== "batch") return singleWords(job, command);
  const { commands } = command;
  const removed = commands.find((step) => step.kind === "remove-device");
  const added = commands.find((step) => step.kind === "add-device");
  if (removed && added) return `replaced ${deviceName(job, removed.device)} with ${added.device.name}`;
  if (removed) return singleWords(job, removed);
  const plug = commands.findLast((step) => step.kind === "plug");
  if (plug && commands.some((step) => step.kind === "unplug"))
    return `moved ${deviceName(job, plug.cable.from.device)} to ${deviceName(job, plug.cable.to.device)} ${socketPrint(job, plug.cable.to)}`;
  const first = commands[0];
  if (!first) return "nothing";
  const kinds = new Set(commands.map(({ kind }) => kind));
  // Several of a kind that belong together are told as one.
  if (kinds.size === 1 && (first.kind === "arrange" || first.kind === "edit-device" || first.kind === "add-device"))
    return commands.length === 1 ? singleWords(job, first) : severalWords(first.kind, commands.length);
  return commands.length === 1 ? singleWords(job, first) : `${singleWords(job, first)}, and ${commands.length - 1} more`;
}

function severalWords(kind: "arrange" | "edit-device" | "add-device", count: number): string {
  if (kind === "arrange") return `arranged ${count} plates`;
  return kind === "add-device" ? `added ${count} devices` : `corrected ${count} devices`;
}

function singleWords(job: Job, single: SingleCommand): string {
  const { edits, command } = sortCommand(single);
  switch (edits) {
    case "job":
      return jobEditWords(command);
    case "device":
      return deviceEditWords(job, command);
    case "room":
      return roomEditWords(job, command);
    case "visit":
      return visitEditWords(job, command);
    case "handover":
      return handoverEditWords(command);
    case "cable":
      return cableEditWords(job, command);
    case "kept":
      return keptEditWords(job, command);
  }
}

function jobEditWords(command: JobCommand): string {
  switch (command.kind) {
    case "edit-job":
      return "changed the job details";
    case "edit-brief":
      return "changed the brief";
    case "set-rooms":
      return "changed the rooms";
  }
}

function deviceEditWords(job: Job, command: DeviceCommand): string {
  switch (command.kind) {
    case "add-device":
      return `added ${command.device.name}`;
    case "remove-device":
      return `removed ${deviceName(job, command.device)}`;
    case "rename-device":
      return `renamed ${deviceName(job, command.device)} to ${command.name}`;
    case "edit-device":
      return `corrected ${deviceName(job, command.device)}`;
    case "edit-port":
      return `corrected ${socketName(job, command)}`;
    case "set-setting":
      return `${settingFact(command.setting).name} at ${deviceName(job, command.device)}: ${command.value === null ? "cleared" : settingValueIn(job, command.device, command.setting, command.value)}${command.state === "planned" ? "" : ` (${command.state})`}`;
    case "set-speakers":
      return `speakers of ${deviceName(job, command.device)}: ${command.bed}${command.heights ? `.${command.heights}` : ""}`;
    case "set-contents":
      return `changed what ${deviceName(job, command.device)} plays`;
    case "edit-source":
      return `corrected what ${deviceName(job, command.device)} plays from`;
  }
}

function cableEditWords(job: Job, command: CableCommand): string {
  switch (command.kind) {
    case "plug":
      return `plugged ${deviceName(job, command.cable.from.device)} into ${deviceName(job, command.cable.to.device)} ${socketPrint(job, command.cable.to)}`;
    case "unplug":
      return `unplugged the ${cableShortName(job, command.cable)}`;
    case "edit-cable":
      return `changed the ${cableShortName(job, command.cable)}${command.fields.class ? ` to ${cableClassFact(command.fields.class).name}` : ""}`;
  }
}

function roomEditWords(job: Job, command: RoomCommand): string {
  const name = roomName(job, command.room);
  switch (command.kind) {
    case "measure-room":
      return `measured ${name}`;
    case "forget-space":
      return `cleared what was measured of ${name}`;
    case "place-unit":
      return `${command.to ? "placed" : "took away"} ${unitName(job, command)}`;
    case "note-reading": {
      const { of, unit, device } = command.about;
      return `${command.reading ? "noted" : "cleared"} the ${of} of ${unitName(job, { device, unit })}`;
    }
  }
}

function visitEditWords(job: Job, command: VisitCommand): string {
  switch (command.kind) {
    case "edit-visit":
      return "changed what is agreed about the visit";
    case "add-step":
      return `added the step “${command.step.says}”`;
    case "remove-step":
      return `removed the step “${job.visit.added.find(({ id }) => id === command.step)?.says ?? command.step}”`;
  }
}

function handoverEditWords(command: HandoverCommand): string {
  switch (command.kind) {
    case "choose-language":
      return "changed the language of the household’s sheet";
    case "write-sentence":
      return command.sentence.text ? "wrote a sentence of the household’s sheet" : "left a sentence out of the household’s sheet";
    case "drop-sentence":
      return "took a sentence of the household’s sheet from the job again";
  }
}

function keptEditWords(job: Job, command: KeptCommand): string {
  switch (command.kind) {
    case "arrange":
      return command.to
        ? `moved ${deviceName(job, command.device)} on the map`
        : `put ${deviceName(job, command.device)} back to its automatic position`;
    case "keep-snapshot":
      return `saved the state “${command.snapshot.name}”`;
    case "drop-snapshot":
      return `deleted the state “${job.snapshots.find(({ id }) => id === command.snapshot)?.name ?? command.snapshot}”`;
    case "attach":
      return `added the photo ${command.attachment.name}`;
    case "detach":
      return `removed the photo ${job.attachments.find(({ id }) => id === command.attachment)?.name ?? ""}`.trim();
  }
}
