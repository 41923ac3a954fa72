import { cableClassFact, classesJoining, ONE_WAY_CLASSES, type CableClass } from "@/core/facts";
import { hasReturn, type Device, type Port } from "@/core/device";
import type { Command, SingleCommand } from "./command";
import { cableAt, findDevice, findPort, freeId, sameEnd } from "./find";
import type { Cable, CableEnd, Job } from "./job";
import { runBetween, whyNotLay } from "./run";
import { inSignalOrder, whyNotPlug } from "./why-not-plug";

/** The cable an installer takes first between two sockets: a class that assures everything the plugs can carry; a stick plugs in directly. */
function usualClass(out: Port, into: Port): CableClass {
  if (out.connector === "hdmi") return out.plug ? "direct-plug" : isArcOnly(out, into) ? "premium-high-speed-ethernet" : "ultra-high-speed";
  return classesJoining(out.connector, into.connector)[0] ?? "optical";
}

/** A return that can only be ARC, at sockets of 18 Gb/s at most, asks for nothing that the newest class has more. */
function isArcOnly(out: Port, into: Port): boolean {
  const ends = [out, into].flatMap((port) => (port.connector === "hdmi" ? [port] : []));
  const isSlow = ends.every(({ maxGbps }) => maxGbps !== null && maxGbps <= 18);
  return isSlow && ends.every(({ returns }) => returns === "arc" || returns === "earc") && ends.some(({ returns }) => returns === "arc");
}

/** How long a cable is that already joins these two devices, or their rooms; null: none does. */
function lengthOfAnother({ cables, devices }: Job, a: string, b: string): number | null {
  const roomOf = (id: string) => devices.find((device) => device.id === id)?.room ?? null;
  const joins = (one: string | null, other: string | null, of: (id: string) => string | null) => (cable: Cable) => {
    const ends = [of(cable.from.device), of(cable.to.device)];
    return one !== null && other !== null && ends.includes(one) && ends.includes(other) && (one === other ? ends[0] === ends[1] : true);
  };
  const between = cables.filter(joins(a, b, (id) => id));
  const [here, there] = [roomOf(a), roomOf(b)];
  const same = between.length || here === there ? between : cables.filter(joins(here, there, roomOf));
  return same.length ? Math.max(...same.map(({ lengthM }) => lengthM)) : null;
}

/** What a cable within a room usually needs. */
const USUAL_M = 2;

/** The command that joins two sockets with an ordinary cable, as long as the brief says between their rooms; ends in either order. */
export function joinSockets(job: Job, a: CableEnd, b: CableEnd, chosen?: CableClass): Command {
  const { from, to } = inSignalOrder(job, a, b);
  const [out, into] = [findPort(job, from), findPort(job, to)];
  const cableClass = chosen ?? (out && into ? usualClass(out, into) : "ultra-high-speed");
  const id = freeId("cable-1", new Set(job.cables.map((cable) => cable.id)));
  const cable: Cable = {
    id,
    from,
    to,
    class: cableClass,
    lengthM:
      cableClass === "direct-plug"
        ? 0.1
        : (runBetween(job, from.device, to.device)?.lengthM ?? lengthOfAnother(job, from.device, to.device) ?? USUAL_M),
    direction: ONE_WAY_CLASSES.has(cableClass) ? "one-way" : "either",
    backwards: false,
    miswired: false,
    state: "sound",
    returnWires: cableClassFact(cableClass).assures,
    controlWire: true,
    label: "",
    tags: { from: "", to: "" },
    supply: "there",
  };
  return { kind: "plug", cable, at: null };
}

const unplugAll = (job: Job, device: string): SingleCommand[] =>
  job.cables
    .filter((cable) => cable.from.device === device || cable.to.device === device)
    .map((cable) => ({ kind: "unplug", cable: cable.id }));

/** The command that removes a device together with the cables in it. */
export const removeWithCables = (job: Job, device: string): Command => ({
  kind: "batch",
  commands: [...unplugAll(job, device), { kind: "remove-device", device }],
});

/** The command that pulls one end of a cable and puts it elsewhere, keeping the cable itself. */
export function moveCableEnd(job: Job, cable: Cable, end: "from" | "to", target: CableEnd): Command {
  const at = job.cables.indexOf(cable);
  return {
    kind: "batch",
    commands: [
      { kind: "unplug", cable: cable.id },
      { kind: "plug", cable: { ...cable, [end]: target }, at: at < 0 ? null : at },
    ],
  };
}

/**
 * The command that puts another device in the place of one: same id and place in the list, and every cable that finds a
 * socket of the same name, or of the same kind and direction, stays plugged. Cables without such a socket are taken out.
 */
export function replaceDevice(job: Job, id: string, replacement: Device): Command {
  const old = findDevice(job, id);
  if (!old) return { kind: "batch", commands: [{ kind: "remove-device", device: id }] };
  const device = { ...replacement, id };
  const commands: SingleCommand[] = [
    ...unplugAll(job, id),
    { kind: "remove-device", device: id },
    { kind: "add-device", device, at: job.devices.indexOf(old) },
  ];
  if (job.brief.soundSystem === id && device.speakers) commands.push({ kind: "edit-job", fields: { brief: job.brief } });
  let after: Job = {
    ...job,
    devices: job.devices.map((row) => (row.id === id ? device : row)),
    cables: job.cables.filter((cable) => cable.from.device !== id && cable.to.device !== id),
  };
  for (const cable of job.cables) {
    const side = cable.from.device === id ? "from" : cable.to.device === id ? "to" : null;
    const port = side ? matchingPort(after, device, findPort(job, cable[side])) : null;
    if (!side || !port) continue;
    const moved = { ...cable, [side]: { device: id, port: port.id } };
    if (whyNotPlug(after, moved.from, moved.to)) continue;
    after = { ...after, cables: [...after.cables, moved] };
    commands.push({ kind: "plug", cable: moved, at: null });
  }
  return { kind: "batch", commands };
}

function matchingPort(job: Job, device: Device, old: Port | undefined): Port | null {
  if (!old) return null;
  const fits = device.ports.filter(
    (port) => port.connector === old.connector && port.direction === old.direction && !cableAt(job, { device: device.id, port: port.id }),
  );
  const likeness = (port: Port) => Number(port.id === old.id) * 2 + Number(hasReturn(port) === hasReturn(old));
  return [...fits].sort((a, b) => likeness(b) - likeness(a))[0] ?? null;
}

/** Every socket a held plug could be asked about, with the answer; `ignoring` is a cable that is being moved. */
export function socketAnswers(
  job: Job,
  held: CableEnd,
  ignoring?: string,
): readonly { end: CableEnd; refusal: ReturnType<typeof whyNotLay> }[] {
  return job.devices.flatMap((device) =>
    device.ports
      .map((port) => ({ device: device.id, port: port.id }))
      .filter((end) => !sameEnd(end, held))
      .map((end) => ({ end, refusal: whyNotLay(job, held, end, ignoring) })),
  );
}
