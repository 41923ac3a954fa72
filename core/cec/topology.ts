import type { CecKind } from "@/core/facts";
import { busKind, effectiveSetting, joinsControlAt, type Device, type SettingState } from "@/core/device";
import { cableAt, findDevice, type Cable, type CableEnd, type Job } from "@/core/job";
import { childAddress, NOWHERE, ROOT, type PhysicalAddress } from "./address";

/** A device on the control wire. */
export interface BusNode {
  readonly device: string;
  readonly kind: CecKind;
  /** Devices of one wire hear each other. */
  readonly wire: number;
  /** Where the EDID that it reads says it is. */
  readonly address: PhysicalAddress;
  /** The display at the root of the tree in which it is; null: it is in none. */
  readonly root: string | null;
  /** Its HDMI inputs in their order; the first is number 1 of its addresses. */
  readonly inputs: readonly string[];
  readonly version: Device["control"]["version"];
  /** The screen that must be awake before anything shows it an EDID; null: it is always shown one. */
  readonly placedBy: string | null;
  /** It takes part: it speaks CEC and has it switched on, or nobody knows whether. */
  readonly speaks: boolean;
}

/** Where the control wire ends although HDMI goes on. */
export type Cut =
  | { readonly at: "device"; readonly device: string }
  | { readonly at: "socket"; readonly device: string; readonly port: string }
  | { readonly at: "cable"; readonly cable: string };

/** The control wires of a room, who is connected to them, and where they are cut. */
export interface Network {
  readonly nodes: readonly BusNode[];
  readonly cuts: readonly Cut[];
}

/**
 * Works out who hears whom. The wire runs along every HDMI cable and on inside each device, save where a device or a cable cuts it;
 * the place of each is read upwards through the EDIDs, box by box, to the screen. A box that only copies an EDID hands on the address
 * that it got. Source: HDMI 1.4 §8.7 (physical addresses), CEC 1.4 §4 (one wire).
 */
export function networkOf(job: Job, state: SettingState = "planned"): Network {
  const wires = controlWires(job);
  const nodes = job.devices.flatMap((device): BusNode[] => {
    const kind = kindOf(device, state);
    const sockets = hdmiPorts(device);
    const main = mainSocket(job, device);
    if (!kind || !main || sockets.length === 0) return [];
    return [
      {
        device: device.id,
        kind,
        wire: wires.of({ device: device.id, port: main }),
        address: addressOf(job, device.id, state, new Set()),
        root: rootOf(job, device.id),
        inputs: inputsOf(device),
        version: device.control.version,
        placedBy: placedBy(job, device.id),
        speaks: takesPart(device, state),
      },
    ];
  });
  return { nodes, cuts: cutsOf(job) };
}

/** Whether a device speaks CEC and has it switched on, or nobody knows whether. */
export const takesPart = (device: Device, state: SettingState = "planned"): boolean =>
  device.speaksCec && effectiveSetting(device, "cec", state) !== "off";

/** What a device is on the bus in one state of its settings; null where it holds no address. */
export const kindOf = (device: Device, state: SettingState = "planned"): CecKind | null =>
  busKind(device, (key) => effectiveSetting(device, key, state));

const hdmiPorts = (device: Device) => device.ports.filter(({ connector }) => connector === "hdmi");
const inputsOf = (device: Device): readonly string[] => hdmiPorts(device).flatMap(({ id, direction }) => (direction === "in" ? [id] : []));

/** The socket by which a device is connected to its wire: the plugged output that joins it, else the first plugged input, else any. */
function mainSocket(job: Job, device: Device): string | undefined {
  const ports = hdmiPorts(device).filter(({ id }) => joinsControlAt(device, id) || !device.speaksCec);
  const plugged = ports.filter(({ id }) => cableAt(job, { device: device.id, port: id }));
  return (plugged.find(({ direction }) => direction === "out") ?? plugged[0] ?? ports[0])?.id;
}

/** Which of the control wires of a room a socket is on, by a number; whether anybody on it listens is another matter. */
export interface ControlWires {
  readonly of: (end: CableEnd) => number;
}

/** Joins the control wires of a room: along HDMI cables, and inside devices that hand it on. */
export function controlWires(job: Job): ControlWires {
  const pieces = new Map(job.devices.map((device) => [device.id, piecesOf(device)]));
  const pieceAt = ({ device, port }: CableEnd) => pieces.get(device)?.get(port);
  const joined = new Map<string, string>();
  const find = (piece: string): string => {
    const up = joined.get(piece);
    return up === undefined ? piece : find(up);
  };
  for (const cable of job.cables) {
    // Pin 13 is in every HDMI cable of copper and light; an adapter or a lead made without it is noted at the cable.
    const [a, b] = cable.controlWire ? [pieceAt(cable.from), pieceAt(cable.to)] : [];
    if (a === undefined || b === undefined) continue;
    const [from, to] = [find(a), find(b)];
    if (from !== to) joined.set(from, to);
  }
  const numbers = new Map<string, number>();
  for (const ofDevice of pieces.values())
    for (const piece of ofDevice.values()) {
      const wire = find(piece);
      if (!numbers.has(wire)) numbers.set(wire, numbers.size);
    }
  return {
    of: (end: CableEnd) => {
      const piece = pieceAt(end);
      return (piece === undefined ? undefined : numbers.get(find(piece))) ?? -1;
    },
  };
}

/** Devices are never changed in place, so the pieces of control wire inside them are told once. */
const inside = new WeakMap<Device, ReadonlyMap<string, string>>();

/** The piece of control wire at each HDMI socket of a device: one for all that it joins, one of its own for every other. */
function piecesOf(device: Device): ReadonlyMap<string, string> {
  const known = inside.get(device);
  if (known) return known;
  const pieces = new Map(hdmiPorts(device).map(({ id }) => [id, joinsControlAt(device, id) ? device.id : `${device.id} ${id}`]));
  inside.set(device, pieces);
  return pieces;
}

const isHdmi = (job: Job, { device, port }: CableEnd): boolean =>
  findDevice(job, device)?.ports.some(({ id, connector }) => id === port && connector === "hdmi") ?? false;

/** The address that the EDID at a device's output gives it. */
function addressOf(job: Job, id: string, state: SettingState, met: Set<string>): PhysicalAddress {
  const device = findDevice(job, id);
  if (!device || met.has(id)) return NOWHERE;
  met.add(id);
  const up = upwards(job, device);
  if (!up) return inputsOf(device).length && (device.display || device.role === "box") ? ROOT : NOWHERE;
  return addressAt(job, up.to, state, met);
}

/**
 * The cable by which a device reads where it is. Of several outputs it is the first that joins the control wire, of those that lead to a
 * display. Past a box that cuts the wire an address tells a person alone at which input something is shown, so it makes no difference there
 * which of its outputs leads where: the first display of the job counts.
 */
function upwards(job: Job, device: Device, before: ReadonlySet<string> = NONE_BEFORE): Cable | undefined {
  const outputs = hdmiPorts(device).filter(({ direction }) => direction === "out");
  const plugged = outputs.flatMap((port) => cableAt(job, { device: device.id, port: port.id }) ?? []);
  if (plugged.length < 2) return plugged[0];
  const met = new Set([...before, device.id]);
  const shown = plugged.flatMap((cable) => {
    const root = rootOf(job, cable.to.device, met);
    return root === null ? [] : [{ cable, display: job.devices.findIndex(({ id }) => id === root) }];
  });
  const isJoined = ({ from }: Cable) => joinsControlAt(device, from.port);
  const onWire = shown.find(({ cable }) => isJoined(cable)) ?? shown.toSorted((a, b) => a.display - b.display)[0];
  return onWire?.cable ?? plugged.find(isJoined) ?? plugged[0];
}

const NONE_BEFORE: ReadonlySet<string> = new Set();

/** The display up to which the cables lead from a device, itself included, without those where a walk has been. */
function rootOf(job: Job, id: string, before: ReadonlySet<string> = NONE_BEFORE): string | null {
  const met = new Set(before);
  for (let at = id; !met.has(at);) {
    met.add(at);
    const device = findDevice(job, at);
    const up = device && upwards(job, device, met);
    if (!up) return device?.display ? at : null;
    at = up.to.device;
  }
  return null;
}

/** The address that the EDID at a socket gives to whoever is plugged there. */
export function addressAt(job: Job, socket: CableEnd, state: SettingState, met: Set<string> = new Set()): PhysicalAddress {
  const above = findDevice(job, socket.device);
  const parent = addressOf(job, socket.device, state, met);
  if (!above || parent === NOWHERE) return NOWHERE;
  if (copiesAddress(above, state) && parent !== ROOT) return parent;
  return childAddress(parent, inputsOf(above).indexOf(socket.port) + 1) ?? NOWHERE;
}

/** The screen above a device, where it, or something on the way to it, shows no EDID while the screen sleeps. */
function placedBy(job: Job, id: string): string | null {
  let sleeps = false;
  const met = new Set<string>();
  let at = id;
  while (!met.has(at)) {
    met.add(at);
    const device = findDevice(job, at);
    if (!device) return null;
    sleeps ||= at !== id && device.habits.some(({ habit }) => habit === "forgets-edid");
    const up = upwards(job, device);
    if (!up) return sleeps && at !== id && kindOf(device) === "tv" ? at : null;
    at = up.to.device;
  }
  return null;
}

/** A plain box shows the EDID it sees and with it the address; receivers, bars and switches count their own inputs. */
const copiesAddress = (device: Device, state: SettingState): boolean => kindOf(device, state) === null;

function cutsOf(job: Job): readonly Cut[] {
  const plugged = (device: Device) => hdmiPorts(device).filter(({ id }) => cableAt(job, { device: device.id, port: id }));
  return [
    ...job.devices.flatMap((device): Cut[] => {
      const sockets = plugged(device);
      if (sockets.length < 2) return [];
      if (!device.speaksCec) return [{ at: "device", device: device.id }];
      return sockets.flatMap(({ id }): Cut[] => (joinsControlAt(device, id) ? [] : [{ at: "socket", device: device.id, port: id }]));
    }),
    ...job.cables.flatMap((cable): Cut[] =>
      isHdmi(job, cable.from) && isHdmi(job, cable.to) && !cable.controlWire ? [{ at: "cable", cable: cable.id }] : [],
    ),
  ];
}
