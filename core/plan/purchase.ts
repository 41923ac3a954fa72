import { findArchetype, fromShelfOrThrow, mayReturn, type Device } from "@/core/device";
import {
  applyCommand,
  chosenSoundSystem,
  freeId,
  freeName,
  joinSockets,
  replaceDevice,
  whyNotLay,
  type Cable,
  type CableEnd,
  type Command,
  type Job,
  type SingleCommand,
} from "@/core/job";
import type { Change } from "./changes";

/**
 * Every single place where a bought device could go: in the place of one of its own role, or, for a box, into a cable that it fits
 * between, with the sound system's return plugged into the box's own sound output where it has one. Empty for an unknown archetype.
 */
export function purchases(job: Job, archetype: string): readonly Change[] {
  const row = findArchetype(archetype);
  if (!row) return [];
  const taken = new Set(job.devices.map(({ id }) => id));
  const names = new Set(job.devices.map(({ name }) => name));
  const bought = fromShelfOrThrow(archetype, { id: freeId(archetype, taken), name: freeName(row.name, names) });
  const commands =
    row.role === "box"
      ? job.cables.flatMap((cable) => insertBox(job, bought, cable) ?? [])
      : job.devices
          .filter((device) => device.role === row.role)
          .map((device) => replaceDevice(job, device.id, { ...bought, name: device.name }));
  return commands.map((command): Change => ({ kind: "box", count: 1, decides: [`box ${archetype}`], command }));
}

/** Takes a cable out and lays it through the box: the same cable to the box, an ordinary one from it. */
function insertBox(job: Job, box: Device, cable: Cable): Command | null {
  const commands: SingleCommand[] = [
    { kind: "unplug", cable: cable.id },
    { kind: "add-device", device: box, at: null },
  ];
  let current = applied(job, commands);
  const plug = (from: CableEnd, to: CableEnd, keep?: Cable): boolean => {
    if (!current || whyNotLay(current, from, to)) return false;
    const joined = keep ? ({ kind: "plug", cable: { ...keep, from, to }, at: null } as const) : joinSockets(current, from, to);
    if (joined.kind !== "plug") return false;
    const after = applyCommand(current, joined);
    if (!after.ok) return false;
    current = after.value.job;
    commands.push(joined);
    return true;
  };
  const sockets = (direction: "in" | "out", returning: boolean) =>
    box.ports
      .filter((port) => port.direction === direction && (port.direction === "in" && mayReturn(port)) === returning)
      .map((port): CableEnd => ({ device: box.id, port: port.id }));
  if (!sockets("in", false).some((end) => plug(cable.from, end, cable))) return null;
  if (!sockets("out", false).some((end) => plug(end, cable.to))) return null;
  moveReturnTo(sockets("in", true)[0]);
  return { kind: "batch", commands };

  /** A box with a sound output of its own takes the sound system's return plug, which sat in the screen. */
  function moveReturnTo(end: CableEnd | undefined): void {
    const system = current && chosenSoundSystem(current);
    const back = system && current?.cables.find(({ from }) => from.device === system.id);
    if (!current || !end || !back) return;
    const unplug: SingleCommand = { kind: "unplug", cable: back.id };
    const without = applied(current, [unplug]);
    if (!without || whyNotLay(without, back.from, end)) return;
    current = without;
    commands.push(unplug);
    plug(back.from, end, back);
  }
}

function applied(job: Job, commands: readonly SingleCommand[]): Job | null {
  const result = applyCommand(job, { kind: "batch", commands: [...commands] });
  return result.ok ? result.value.job : null;
}
