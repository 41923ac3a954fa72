import { cableClassFact, connectorName, settingFact } from "@/core/facts";
import type { Breach, EditRefusal, Job, JobTrouble, Refusal } from "@/core/job";
import { cableName, deviceName, listed, roomName, socketName, upperFirst } from "./names";

/** Why an edit was not made, in one sentence. */
export function refusalSentence(job: Job, refusal: EditRefusal): string {
  switch (refusal.code) {
    case "breaks-document":
      return `The job would not open again after this: ${troubleSentence(refusal.trouble)}`;
    case "no-such-device":
      return `There is no device “${refusal.device}” in this job.`;
    case "no-such-port":
      return `${deviceName(job, refusal.end.device)} has no socket “${refusal.end.port}”.`;
    case "no-such-cable":
      return `There is no cable “${refusal.cable}” in this job.`;
    case "no-such-setting":
      return `${deviceName(job, refusal.device)} has no setting “${settingFact(refusal.setting).name}”.`;
    case "no-such-option":
      return `${deviceName(job, refusal.device)} has no choice “${refusal.value}” for “${settingFact(refusal.setting).name}”.`;
    case "no-such-source":
      return `${deviceName(job, refusal.device)} has no source “${refusal.source}”.`;
    case "no-such-room":
      return `There is no room “${refusal.room}” in this job.`;
    case "no-such-snapshot":
      return `There is no saved state “${refusal.snapshot}” in this job.`;
    case "no-such-attachment":
      return "This photo is no longer part of the job.";
    case "no-such-step":
      return "This added step is no longer part of the job.";
    case "no-such-sentence":
      return "This sentence of the household’s sheet is the one made from the job already.";
    case "must-stay":
      return `${deviceName(job, refusal.device)} must stay according to the brief; change that there first.`;
    case "room-in-use":
      return `${roomName(job, refusal.room)} is still used: a device stands there or a cable run of the brief ends there.`;
    case "run-forbidden":
      return `According to the brief, no cable can run between ${listed(refusal.rooms.map((room) => roomName(job, room)))}.`;
    case "id-taken":
      return `The name “${refusal.id}” is already used in this job.`;
    case "name-empty":
      return "A name needs at least one letter.";
    case "value-out-of-range":
      return `${refusal.field} takes ${refusal.expected}.`;
    case "device-has-cables":
      return `${deviceName(job, refusal.device)} still has ${refusal.cables === 1 ? "a cable" : `${refusal.cables} cables`} in it.`;
    case "same-device":
      return `Both ends would be in ${deviceName(job, refusal.device)}.`;
    case "socket-taken":
      return `${socketName(job, refusal.end)} already holds ${cableName(job, refusal.by)}.`;
    case "plug-does-not-fit":
      return `A plug for ${connectorName(refusal.plug)} does not fit a socket for ${connectorName(refusal.socket)}.`;
    case "cable-does-not-fit":
      return `A cable of the class “${cableClassFact(refusal.cable).name}” does not join ${listed(refusal.sockets.map(connectorName))}.`;
    case "socket-covered":
      return `${deviceName(job, refusal.by)} is a wide stick in the socket beside it and covers ${socketName(job, refusal.end)}; an extender frees it.`;
    case "neighbour-covered":
      return `${deviceName(job, refusal.by)} is a wide stick and would cover ${socketName(job, refusal.end)}, which is taken; plug it in with an extender.`;
    case "both-outputs":
      return "Both sockets are outputs; a cable joins an output to an input.";
    case "both-inputs":
      return "Both sockets are inputs; a cable joins an output to an input.";
    case "not-miswired":
      return `${upperFirst(cableName(job, refusal.cable))} is noted as found in two sockets of one direction, but joins an output to an input.`;
    case "cable-loop":
      return `The signal would loop through ${listed(refusal.devices.map((id) => deviceName(job, id)))}.`;
  }
}

/** The same in a few words, for a socket that steps back. */
export function refusalFlag(refusal: Refusal): string {
  switch (refusal.code) {
    case "socket-taken":
      return "taken";
    case "plug-does-not-fit":
    case "cable-does-not-fit":
      return "different plug";
    case "both-outputs":
      return "output too";
    case "both-inputs":
      return "input too";
    case "same-device":
      return "same device";
    case "cable-loop":
      return "would loop";
    case "socket-covered":
      return "covered by a stick";
    case "neighbour-covered":
      return "covers a plug";
    case "run-forbidden":
      return "no run there";
    default:
      return "not possible";
  }
}

const NOWHERE = { devices: [], cables: [] } as unknown as Job;

/** What is wrong with a document and where, in one line: "devices[3].ports[1].connector: expected one of …". */
export function troubleSentence(trouble: JobTrouble): string {
  switch (trouble.code) {
    case "not-json":
      return `The file is not JSON: ${trouble.detail}.`;
    case "too-large":
      return `The file has ${(trouble.bytes / 1048576).toFixed(1)}\u2009MB; job files of up to ${trouble.limit / 1048576}\u2009MB are read.`;
    case "not-a-job":
      return 'format: expected "octachord-job"; this is not a job file.';
    case "unknown-version":
      return `version: expected a whole number from 1, found ${JSON.stringify(trouble.version)}.`;
    case "newer-version":
      return `version: this file is of version ${trouble.version}, this program reads up to version ${trouble.known}; open it with a newer Octachord.`;
    case "wrong-value":
      return `${trouble.place || "the document"}: expected ${trouble.expected}.`;
    case "unknown-name": {
      const what = trouble.of === "content" ? "content of the catalogue" : "device of the shelf";
      const near = trouble.near.length ? `; near it: ${trouble.near.map((name) => `“${name}”`).join(", ")}` : "";
      return `${trouble.place}: there is no ${what} named “${trouble.name}”${near}.`;
    }
    case "breach":
      return `${trouble.place}: ${breachSentence(trouble.breach)}`;
  }
}

function breachSentence(breach: Breach): string {
  switch (breach.code) {
    case "both-outputs":
    case "both-inputs":
      return `${refusalSentence(NOWHERE, breach)} If it was found plugged so, write "miswired": true at the cable.`;
    case "id-twice":
      return `expected a unique name; “${breach.id}” is used twice.`;
    case "unknown-terminal":
      return `expected a socket or source of this device, “speakers” or “display”; it has no “${breach.terminal}”.`;
    case "unknown-unit":
      return `expected another unit of this device; it has no “${breach.unit}”.`;
    case "no-such-port":
      return `expected a socket of ${breach.end.device}; it has no “${breach.end.port}”.`;
    case "no-such-room":
      return `expected a room of this job; there is no “${breach.room}”.`;
    case "no-such-device":
      return `expected a device of this job; there is no “${breach.device}”.`;
    case "socket-taken":
      return `expected a free socket; ${breach.end.device} “${breach.end.port}” already holds the cable “${breach.by}”.`;
    case "no-such-option":
      return `expected one of the setting’s own options; “${breach.value}” is not among them.`;
    default:
      return refusalSentence(NOWHERE, breach);
  }
}
