import type { Device } from "./device";

/** No back plate of the schema holds more. */
const MOST_PORTS = 32;

/** The device with further sockets that are in every way like one that it has, under these ids; itself where it has none such. */
export function withMoreSockets(device: Device, like: string, ids: readonly string[]): Device {
  const model = device.ports.find(({ id }) => id === like);
  if (!model) return device;
  const extra = ids.slice(0, Math.max(0, MOST_PORTS - device.ports.length));
  const grow = (ports: readonly string[]) => (ports.includes(like) ? [...ports, ...extra] : [...ports]);
  return {
    ...device,
    ports: [...device.ports, ...extra.map((id) => ({ ...model, id }))],
    routes: device.routes.map((route) => ({ ...route, from: grow(route.from) })),
    presents: device.presents.map((rule) => ({ ...rule, ports: grow(rule.ports) })),
  };
}
