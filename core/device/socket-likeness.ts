import type { Device, Port } from "./device";

/** Devices are never changed in place, so what makes two of their sockets equal is computed once. */
const remembered = new WeakMap<Device, Map<Port, string>>();

/** Everything that is true of a socket inside its device, in words: two sockets of a device with the same words serve equally well. */
export function socketLikeness(device: Device, port: Port): string {
  const known = remembered.get(device) ?? new Map<Port, string>();
  remembered.set(device, known);
  const words = known.get(port) ?? likeness(device, port);
  known.set(port, words);
  return words;
}

/** Its own name is left out wherever it is: each input of a switch is chosen by its own. */
function likeness(device: Device, port: Port): string {
  const { id, label: _label, ...facts } = port;
  // Where it is among others it counts the same with each of them, whatever the order.
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
