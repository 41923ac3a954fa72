import { findArchetype, type Device } from "@/core/device";
import type { Command, SingleCommand } from "./command";
import type { Job } from "./job";

/**
 * The edit that adds a device, with what its coming changes: a screen plays from its own speakers while there is no sound system to leave
 * the sound to, and once the first one comes the screens that can hand their sound on are planned to.
 */
export function addDevice(job: Job, device: Device): Command {
  const isFirstSystem = device.role === "sound" && !hasSystem(job);
  const handedOn = isFirstSystem ? job.devices.filter(leavesSound).map(toSystem) : [];
  return { kind: "batch", commands: [{ kind: "add-device", device: asFirstScreen(job, device), at: null }, ...handedOn] };
}

const hasSystem = ({ devices }: Job): boolean => devices.some(({ role }) => role === "sound");

function asFirstScreen(job: Job, device: Device): Device {
  if (device.role !== "screen" || hasSystem(job)) return device;
  return {
    ...device,
    settings: device.settings.map((row) => (row.key === "speakers" && row.options.includes("own") ? { ...row, found: "own" } : row)),
  };
}

/** A screen of a class that usually leaves its sound to a sound system, and that nobody has planned otherwise. */
function leavesSound({ role, archetype, settings }: Device): boolean {
  const usual = archetype === null ? undefined : findArchetype(archetype)?.settings?.find(({ key }) => key === "speakers")?.found;
  const now = settings.find(({ key }) => key === "speakers");
  return role === "screen" && usual === "external" && now?.planned === null && now.found === "own";
}

const toSystem = ({ id }: Device): SingleCommand => ({
  kind: "set-setting",
  device: id,
  setting: "speakers",
  state: "planned",
  value: "external",
});
