import { done, refused, unreachable, type Outcome } from "@/core/outcome";
import { editCable, plug, unplug } from "./apply-cable";
import {
  addDevice,
  changeDevice,
  editDevice,
  editPort,
  editSource,
  removeDevice,
  renameDevice,
  setContents,
  setSetting,
  setSpeakers,
} from "./apply-device";
import { arrange, attach, detach, dropSnapshot, editBrief, editJob, keepSnapshot, setRooms } from "./apply-to-job";
import type { Result } from "./applied";
import { stepsOf, type Command, type SingleCommand } from "./command";
import type { Job } from "./job";
import type { Refusal } from "./refusal";

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
    inverses.unshift(...stepsOf(inverse));
  }
  return done({ job: current, inverse: { kind: "batch", commands: inverses } });
}

/** Makes edits one after the other, all of them or none; the refusal comes with the job as it was before the edit that was refused. */
export function applyAll(job: Job, commands: readonly Command[]): Outcome<Job, { readonly refusal: Refusal; readonly job: Job }> {
  let current = job;
  for (const command of commands) {
    const applied = applyCommand(current, command);
    if (!applied.ok) return refused({ refusal: applied.refusal, job: current });
    current = applied.value.job;
  }
  return done(current);
}

function applySingle(job: Job, command: SingleCommand): Result {
  switch (command.kind) {
    case "edit-job":
      return editJob(job, command);
    case "edit-brief":
      return editBrief(job, command);
    case "set-rooms":
      return setRooms(job, command);
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
    case "plug":
      return plug(job, command.cable, command.at);
    case "unplug":
      return unplug(job, command.cable);
    case "edit-cable":
      return editCable(job, command);
    case "arrange":
      return arrange(job, command);
    case "keep-snapshot":
      return keepSnapshot(job, command);
    case "drop-snapshot":
      return dropSnapshot(job, command);
    case "attach":
      return attach(job, command);
    case "detach":
      return detach(job, command);
    default:
      return unreachable(command);
  }
}
