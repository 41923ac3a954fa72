import { childAddress, ROOT } from "@/core/cec";
import { present } from "@/core/outcome";
import { hasReturn, socketLikeness, type Device, type HdmiPort, type Port } from "@/core/device";
import type { Cable, CableEnd } from "@/core/job";

/** Sockets of one device that are equal in every fact, so that one serves as well as another. */
export interface SocketKind {
  readonly device: string;
  /** At least one. */
  readonly ports: readonly string[];
}

/** The first socket of a kind. */
export const firstPort = ({ ports }: SocketKind): string => present(ports[0], "a socket of its kind");

/** Which sockets of a device are gathered into kinds. */
type Gathering = (device: Device, port: HdmiPort) => boolean;

const takesPictures: Gathering = (device, { id }) => leadsOn(device, id);
const takesReturns: Gathering = (_device, port) => hasReturn(port);

/** The HDMI inputs of a device that take a picture in and are free, by kinds. Equal sockets are listed once: that breaks the symmetry. */
export const inputKinds = (device: Device, taken: TakenSockets): readonly SocketKind[] => freeOf(device, takesPictures, taken);

/** The free HDMI inputs of a device that have a return channel, by kinds, those of boxes that act as a screen included. */
export const returnKinds = (device: Device, taken: TakenSockets): readonly SocketKind[] => freeOf(device, takesReturns, taken);

function freeOf(device: Device, gathering: Gathering, taken: TakenSockets): readonly SocketKind[] {
  const kinds = kindsOf(device, gathering);
  const used = taken.get(device.id);
  if (!used) return kinds;
  return kinds.flatMap((kind) => {
    const free = kind.ports.filter((port) => !used.has(port));
    if (free.length === kind.ports.length) return [kind];
    return free.length ? [{ device: device.id, ports: free }] : [];
  });
}

/** The kinds of a device as it comes: hubs get other settings in a search, never other sockets. */
const gathered = new WeakMap<readonly Port[], Map<Gathering, readonly SocketKind[]>>();

function kindsOf(device: Device, gathering: Gathering): readonly SocketKind[] {
  const known = gathered.get(device.ports) ?? new Map<Gathering, readonly SocketKind[]>();
  gathered.set(device.ports, known);
  const found = known.get(gathering);
  // Devices may have been made with the same sockets.
  if (found?.every((kind) => kind.device === device.id)) return found;
  const kinds = byLikeness(device, gathering);
  known.set(gathering, kinds);
  return kinds;
}

function byLikeness(device: Device, gathering: Gathering): readonly SocketKind[] {
  const kinds = new Map<string, string[]>();
  for (const port of device.ports) {
    if (port.connector !== "hdmi" || port.direction !== "in" || !gathering(device, port)) continue;
    const key = likenessOf(device, port);
    const known = kinds.get(key);
    if (known) known.push(port.id);
    else kinds.set(key, [port.id]);
  }
  return [...kinds.values()].map((ports) => ({ device: device.id, ports }));
}

/** Sockets that hold a cable, by their device. */
export type TakenSockets = ReadonlyMap<string, ReadonlySet<string>>;
export const NO_SOCKETS: TakenSockets = new Map();
export const isTaken = (taken: TakenSockets, { device, port }: CableEnd): boolean => taken.get(device)?.has(port) ?? false;

export function takenBy(cables: readonly Pick<Cable, "from" | "to">[]): TakenSockets {
  const taken = new Map<string, Set<string>>();
  const take = ({ device, port }: CableEnd) => {
    const known = taken.get(device);
    if (known) known.add(port);
    else taken.set(device, new Set([port]));
  };
  for (const { from, to } of cables) {
    take(from);
    take(to);
  }
  return taken;
}

/** Something inside leads on from it: the sound output of a box that is shaped as an input takes no player. */
const leadsOn = (device: Device, port: string): boolean =>
  device.routes.some(({ kind, from }) => kind === "picture" && from.includes(port));

/** Everything that tells one socket from another in a plan, the control bus included. */
const likenessOf = (device: Device, port: Port): string => `${socketLikeness(device, port)} ${String(hasAddress(device, port.id))}`;

/** An input past the fifteenth gives nobody an address. Source: HDMI 1.4 §8.7 (four bits for each input). */
const hasAddress = ({ ports }: Device, id: string): boolean => {
  const inputs = ports.filter(({ connector, direction }) => connector === "hdmi" && direction === "in");
  const place = inputs.findIndex((port) => port.id === id);
  return place < 0 || childAddress(ROOT, place + 1) !== null;
};

export const hdmiOutputs = ({ ports }: Device): readonly Port[] =>
  ports.filter(({ connector, direction }) => connector === "hdmi" && direction === "out");

/** The HDMI outputs of a device that are equal in every fact with one of them, itself included. */
export function likeOutputs(device: Device, port: string): readonly string[] {
  const outputs = hdmiOutputs(device);
  const one = outputs.find(({ id }) => id === port);
  return one ? outputs.filter((other) => likenessOf(device, other) === likenessOf(device, one)).map(({ id }) => id) : [];
}
