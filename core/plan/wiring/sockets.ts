import type { Device, HdmiPort, Port } from "@/core/device";
import type { Cable, CableEnd } from "@/core/job";

/** Sockets of one device that are alike in every fact, so that one serves as well as another. */
export interface SocketKind {
  readonly device: string;
  readonly ports: readonly string[];
}

/** The kinds of a device as it comes: hubs get other settings in a search, never other sockets. */
const gathered = new WeakMap<readonly Port[], readonly (readonly string[])[]>();

/** The HDMI inputs of a device that take a picture in and are free, by kinds. Equal sockets are told once: that breaks the symmetry. */
export function inputKinds(device: Device, taken: TakenSockets): readonly SocketKind[] {
  const kinds = gathered.get(device.ports) ?? byLikeness(device, (port) => leadsOn(device, port.id));
  gathered.set(device.ports, kinds);
  return freeOf(device.id, kinds, taken);
}

const returning = new WeakMap<readonly Port[], readonly (readonly string[])[]>();

/** The free HDMI inputs of a device that have a return channel, by kinds, those of boxes that play the screen's part included. */
export function returnKinds(device: Device, taken: TakenSockets): readonly SocketKind[] {
  const kinds = returning.get(device.ports) ?? byLikeness(device, ({ returns }) => returns !== "none" && returns !== null);
  returning.set(device.ports, kinds);
  return freeOf(device.id, kinds, taken);
}

function byLikeness(device: Device, isMeant: (port: HdmiPort) => boolean): readonly (readonly string[])[] {
  const kinds = new Map<string, string[]>();
  for (const port of device.ports) {
    if (port.connector !== "hdmi" || port.direction !== "in" || !isMeant(port)) continue;
    const key = likenessOf(device, port);
    kinds.set(key, [...(kinds.get(key) ?? []), port.id]);
  }
  return [...kinds.values()];
}

const freeOf = (device: string, kinds: readonly (readonly string[])[], taken: TakenSockets): readonly SocketKind[] =>
  kinds.flatMap((ports) => {
    const free = ports.filter((port) => !taken.has(socketKey({ device, port })));
    return free.length ? [{ device, ports: free }] : [];
  });

/** Sockets in which a cable sits, by their keys. */
export type TakenSockets = ReadonlySet<string>;
export const NO_SOCKETS: TakenSockets = new Set();
export const socketKey = ({ device, port }: CableEnd): string => `${device} ${port}`;
export const takenBy = (cables: readonly Pick<Cable, "from" | "to">[]): TakenSockets =>
  new Set(cables.flatMap(({ from, to }) => [socketKey(from), socketKey(to)]));

/** Something inside leads on from it: the sound output of a box that is shaped as an input takes no player. */
const leadsOn = (device: Device, port: string): boolean =>
  device.routes.some(({ kind, from }) => kind === "picture" && from.includes(port));

/** Sockets are never changed in place, so what makes two of them alike is worked out once. */
const remembered = new WeakMap<Port, string>();

function likenessOf(device: Device, port: Port): string {
  const known = remembered.get(port) ?? likeness(device, port);
  remembered.set(port, known);
  return known;
}

/** Everything that is true of a socket, with its own name left out wherever it stands: each input of a switch is chosen by its own. */
function likeness(device: Device, port: Port): string {
  const { id, label: _label, ...facts } = port;
  // Where it stands among others it counts alike with each of them, whatever the order.
  const nameless = (_key: string, value: unknown): unknown =>
    Array.isArray(value) && value.includes(id) ? ["itself, one of", value.length] : value === id ? "itself" : value;
  const told = (value: unknown): readonly string[] => [JSON.stringify(value, nameless)].filter((words) => words.includes('"itself'));
  return JSON.stringify([
    JSON.stringify(facts, nameless),
    device.routes.flatMap(told),
    device.presents.flatMap(told),
    device.settings.flatMap(({ key, found, planned }) => told({ key, found, planned })),
    device.control.joins === null || device.control.joins.includes(id),
  ]);
}

export const hdmiOutputs = ({ ports }: Device): readonly Port[] =>
  ports.filter(({ connector, direction }) => connector === "hdmi" && direction === "out");

/** The HDMI outputs of a device that are alike in every fact with one of them, itself included. */
export function likeOutputs(device: Device, port: string): readonly string[] {
  const outputs = hdmiOutputs(device);
  const one = outputs.find(({ id }) => id === port);
  return one ? outputs.filter((other) => likenessOf(device, other) === likenessOf(device, one)).map(({ id }) => id) : [];
}
