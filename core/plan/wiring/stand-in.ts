import type { Device } from "@/core/device";
import type { WiringSpace } from "./space";
import type { Wire } from "./wires";

/** Who stands for each player of a space, worked out once. */
const known = new WeakMap<WiringSpace, ReadonlyMap<string, Device>>();

/** The same wire from another player's plug, made once, so that what is remembered of it is found again. */
const moved = new WeakMap<Wire, Wire>();

/**
 * The player that stands for another one that is alike in everything but its name, so that what comes of both in a socket is worked out
 * once. The first player of a room stands for itself alone: on it hang the acts that are about no player.
 */
export function standInOf(space: WiringSpace, player: Device, wire: Wire): { readonly device: Device; readonly wire: Wire } {
  const device = (known.get(space) ?? pairUp(space)).get(player.id) ?? player;
  if (device.id === player.id) return { device, wire };
  const { cable, lying } = wire;
  const same = moved.get(wire) ?? { cable: { ...cable, from: { ...cable.from, device: device.id } }, lying };
  moved.set(wire, same);
  return { device, wire: same };
}

function pairUp(space: WiringSpace): ReadonlyMap<string, Device> {
  const [first, ...others] = space.players;
  const byLikeness = new Map<string, Device>();
  const pairs = new Map(first ? [[first.id, first]] : []);
  for (const player of others) {
    const { id: _id, name: _name, ...facts } = player;
    const likeness = JSON.stringify(facts);
    const same = byLikeness.get(likeness) ?? player;
    byLikeness.set(likeness, same);
    pairs.set(player.id, same);
  }
  known.set(space, pairs);
  return pairs;
}
