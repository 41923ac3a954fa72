import type { Device } from "@/core/device";
import { withSettings, type SettingChoice } from "./hub-settings";
import type { SocketKind } from "./sockets";
import { hasOwnLead, type WiringSpace } from "./space";
import type { Wire } from "./wires";

/** Who stands for each player of a space, computed once. */
const known = new WeakMap<WiringSpace, ReadonlyMap<string, Device>>();

/** For each space the wires of those that stand for others, by all that is true of them, so that what is remembered of one is found again. */
const wired = new WeakMap<WiringSpace, Map<string, Wire>>();

/** A player with the wire by which it is plugged. */
export interface StandIn {
  readonly device: Device;
  readonly wire: Wire;
}

/**
 * The player that stands for another one that is equal in everything but its name, in the first of the sockets that are equal, so that
 * what comes of all of them is computed once. The first player of a room stands for itself alone, because the acts that are about no
 * player are counted with it.
 */
export function standInOf(space: WiringSpace, player: Device, { wire, kind }: { readonly wire: Wire; readonly kind: SocketKind }): StandIn {
  const device = (known.get(space) ?? pairUp(space)).get(player.id) ?? player;
  const { cable, existing } = wire;
  const [port = cable.to.port] = kind.ports;
  const wires = wired.get(space) ?? new Map<string, Wire>();
  wired.set(space, wires);
  const { from, to, class: sort, lengthM, returnWires, controlWire, direction } = cable;
  const key = `${device.id} ${from.port} ${to.device} ${port} ${sort} ${lengthM} ${returnWires} ${controlWire} ${direction}`;
  const same = wires.get(key) ?? { cable: { ...cable, from: { ...from, device: device.id }, to: { ...to, port } }, existing };
  wires.set(key, same);
  return { device, wire: same };
}

/** For each space the places of equal players in its list. */
const equals = new WeakMap<WiringSpace, ReadonlyMap<string, readonly number[]>>();

/** The places of the players that are equal in everything but their names, the player itself included. */
export function equalsOf(space: WiringSpace, player: string): readonly number[] {
  const told = equals.get(space) ?? equalsIn(space);
  equals.set(space, told);
  return told.get(player) ?? [];
}

function equalsIn(space: WiringSpace): ReadonlyMap<string, readonly number[]> {
  const pairs = known.get(space) ?? pairUp(space);
  const standsFor = ({ id }: Device): Device | undefined => pairs.get(id);
  return new Map(
    space.players.map((player) => [
      player.id,
      space.players.flatMap((other, index) => (standsFor(other) === standsFor(player) ? [index] : [])),
    ]),
  );
}

/** With the settings of the player that uses it. */
export const setLike = (standIn: Device, settings: readonly SettingChoice[]): Device =>
  withSettings(
    standIn,
    settings.map((choice) => ({ ...choice, device: standIn.id })),
  );

/** More is true of it than of the device: a lead of its own, or a wish that names it. */
const isSpecial = (space: WiringSpace, { id }: Device): boolean =>
  hasOwnLead(space, id) || [...space.musts, ...space.hopes].some((want) => "device" in want && want.device === id);

function pairUp(space: WiringSpace): ReadonlyMap<string, Device> {
  const [first, ...others] = space.players;
  const byLikeness = new Map<string, Device>();
  const pairs = new Map(first ? [[first.id, first]] : []);
  for (const player of others) {
    if (isSpecial(space, player)) {
      pairs.set(player.id, player);
      continue;
    }
    const { id: _id, name: _name, ...facts } = player;
    const likeness = JSON.stringify(facts);
    const same = byLikeness.get(likeness) ?? player;
    byLikeness.set(likeness, same);
    pairs.set(player.id, same);
  }
  known.set(space, pairs);
  return pairs;
}
