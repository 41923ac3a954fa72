import type { Device, Port } from "@/core/device";
import { sameEnd, type Cable, type CableEnd } from "@/core/job";

/** Sockets of one device that are alike in every fact, so that one serves as well as another. */
export interface SocketKind {
  readonly device: string;
  readonly ports: readonly string[];
}

/** The HDMI inputs of a device that take a picture in and are free, by kinds. Equal sockets are told once: that breaks the symmetry. */
export function inputKinds(device: Device, taken: readonly Cable[]): readonly SocketKind[] {
  const kinds = new Map<string, string[]>();
  for (const port of device.ports) {
    if (port.connector !== "hdmi" || port.direction !== "in" || !leadsOn(device, port.id)) continue;
    if (isTaken({ device: device.id, port: port.id }, taken)) continue;
    const key = likenessOf(device, port);
    kinds.set(key, [...(kinds.get(key) ?? []), port.id]);
  }
  return [...kinds.values()].map((ports) => ({ device: device.id, ports }));
}

export const isTaken = (end: CableEnd, cables: readonly Pick<Cable, "from" | "to">[]): boolean =>
  cables.some(({ from, to }) => sameEnd(from, end) || sameEnd(to, end));

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

/** Everything that is true of a socket, without its name. */
function likeness(device: Device, port: Port): string {
  const { id, label: _label, ...facts } = port;
  const at = (list: readonly string[]) => list.includes(id);
  return JSON.stringify([
    facts,
    device.routes.map(({ from, to, opens }) => [at(from), at(to), JSON.stringify(opens).includes(`"${id}"`)]),
    device.presents.map(({ ports, when }) => [at(ports), JSON.stringify(when).includes(`"${id}"`)]),
    device.control.joins === null || at(device.control.joins),
  ]);
}
