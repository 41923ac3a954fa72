import { endKey, coveringStick, freeId, type Cable, type Job } from "@/core/job";
import { pinnedPort, type Wire, type WiringSpace } from "../space";
import type { PlayerOption } from "./judge-plug";

/**
 * All wires of a plan, with a socket of its kind for each player: players that are in one already keep it, then pinned players choose, then
 * the others in order, next to a directly plugged stick last. Null where such a stick covers a socket that is needed.
 */
export function giveOut(
  space: WiringSpace,
  topology: readonly Wire[],
  chosen: readonly PlayerOption[],
  roomWith: (wires: readonly Wire[]) => Job,
): readonly Wire[] | null {
  const taken = new Set<string>();
  const claims = chosen.flatMap((option, index) => {
    if (!option.kind || !option.wire) return [];
    const { kind, wire } = option;
    const pinned = pinnedPort(space, option.player);
    const wish =
      pinned ?? (wire.existing?.to.device === kind.device && kind.ports.includes(wire.existing.to.port) ? wire.existing.to.port : null);
    return [{ index, kind, wire, wish }];
  });
  const isStick = claims.some(({ wire }) => wire.cable.class === "direct-plug");
  const given = new Map<number, Wire>();
  for (const { index, kind, wire, wish } of claims.toSorted((a, b) => Number(b.wish !== null) - Number(a.wish !== null))) {
    const free = kind.ports.filter((port) => !taken.has(endKey({ device: kind.device, port })));
    const room = isStick ? roomWith([...given.values()]) : null;
    const uncovered = room ? free.filter((port) => coveringStick(room, { device: kind.device, port }) === null) : free;
    const port = wish && free.includes(wish) ? wish : (uncovered[0] ?? free[0] ?? wire.cable.to.port);
    taken.add(endKey({ device: kind.device, port }));
    given.set(index, { ...wire, cable: { ...wire.cable, to: { ...wire.cable.to, port } } });
  }
  const wires = [...topology, ...chosen.flatMap((_, index) => given.get(index) ?? [])];
  if (!isStick) return wires;
  const room = roomWith(wires);
  return wires.some(({ cable }) => coveringStick(room, cable.to) !== null) ? null : wires;
}

/** Existing cables keep their ids; new ones get free ids. */
export function withOwnIds(space: WiringSpace, wires: readonly Wire[]): readonly Wire[] {
  const taken = new Set(space.job.cables.map(({ id }) => id));
  return wires.map((wire) => {
    if (wire.existing) return wire;
    const id = freeId("cable-1", taken);
    taken.add(id);
    const cable: Cable = { ...wire.cable, id };
    return { ...wire, cable };
  });
}
