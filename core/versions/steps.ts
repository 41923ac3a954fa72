import { SHELF } from "@/core/device";
import type { VersionStep } from "./migrate";

const same = (value: unknown): unknown => value;
const isPlain = (value: unknown): value is Record<string, unknown> => typeof value === "object" && value !== null && !Array.isArray(value);

/** A device made from a class of the shelf gets the speaker units and dials of its class; any other has none until somebody writes them down. */
function withUnits(device: unknown): unknown {
  if (!isPlain(device) || typeof device.archetype !== "string") return device;
  const found = SHELF.find(({ archetype }) => archetype === device.archetype);
  return found ? { units: found.units ?? [], dials: found.dials ?? null, ...device } : device;
}

const inList = (holder: Record<string, unknown>): Record<string, unknown> =>
  Array.isArray(holder.devices) ? { ...holder, devices: holder.devices.map(withUnits) } : holder;

function jobWithUnits(job: unknown): unknown {
  if (!isPlain(job)) return job;
  const { snapshots } = job;
  return { ...inList(job), ...(Array.isArray(snapshots) ? { snapshots: snapshots.map((one) => (isPlain(one) ? inList(one) : one)) } : {}) };
}

function commandWithUnits(command: unknown): unknown {
  if (!isPlain(command)) return command;
  return {
    ...command,
    ...("device" in command && isPlain(command.device) ? { device: withUnits(command.device) } : {}),
    ...(isPlain(command.snapshot) ? { snapshot: inList(command.snapshot) } : {}),
    ...(Array.isArray(command.commands) ? { commands: command.commands.map(commandWithUnits) } : {}),
  };
}

/** In the order of their versions. */
export const STEPS: readonly VersionStep[] = [
  {
    to: 2,
    name: "speaker units and dials; rooms that are measured",
    up: { job: jobWithUnits, device: withUnits, command: commandWithUnits, stock: same, preferences: same },
  },
  {
    to: 3,
    // What is new has a value where nobody gave one.
    name: "visits: what is agreed, steps added by hand, the record; the firm's minutes",
    up: { job: same, device: same, command: same, stock: same, preferences: same },
  },
  {
    to: 4,
    name: "how devices, leads, sockets and units are at the moment; searches for faults in the record",
    up: { job: same, device: same, command: same, stock: same, preferences: same },
  },
  {
    to: 5,
    name: "what was written into the household's sheet; visits that ended, promises and refusals in the record; the firm's picture",
    up: { job: same, device: same, command: same, stock: same, preferences: same },
  },
];
