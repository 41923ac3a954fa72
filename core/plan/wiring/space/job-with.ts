import type { Device } from "@/core/device";
import type { Job } from "@/core/job";
import type { WiringSpace } from "./space";
import type { Wire } from "./wires";

/** A space is never changed in place, so the places of its devices are counted once. */
const places = new WeakMap<WiringSpace, ReadonlyMap<string, number>>();

/** The room with these devices and wires, and what no plan touches. */
export function jobWith(space: WiringSpace, devices: readonly Device[], wires: readonly Wire[], players: readonly Device[] = []): Job {
  const { job, fixedDevices, fixedCables } = space;
  const here = [...devices, ...players, ...fixedDevices];
  // In the order of the document, so that the first sound system and the first player stay the first.
  const order = places.get(space) ?? new Map(job.devices.map(({ id }, index) => [id, index]));
  places.set(space, order);
  const placeOf = ({ id }: Device) => order.get(id) ?? job.devices.length;
  return {
    ...job,
    brief: { ...job.brief, soundSystem: space.system.id },
    devices: here.toSorted((a, b) => placeOf(a) - placeOf(b)),
    cables: [...fixedCables, ...wires.map(({ cable }) => cable)],
  };
}
