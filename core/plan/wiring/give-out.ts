import type { CableClass } from "@/core/facts";
import { coveringStick, freeId, type Cable, type Job } from "@/core/job";
import { pinnedPort } from "./bonds";
import type { PlayerOption } from "./settle";
import { socketKey } from "./sockets";
import type { WiringSpace } from "./space";
import type { Wire } from "./wires";

/**
 * All wires of a plan, with the sockets of each kind given out: whoever sits in one already keeps it, then who is pinned to one, then the
 * others in their order, beside a stick that is plugged in directly last. Null where that stick covers a socket that is needed.
 */
export function giveOut(
  space: WiringSpace,
  backbone: readonly Wire[],
  chosen: readonly PlayerOption[],
  roomWith: (wires: readonly Wire[]) => Job,
): readonly Wire[] | null {
  const taken = new Set<string>();
  const claims = chosen.flatMap((option, index) => {
    if (!option.kind || !option.wire) return [];
    const { kind, wire } = option;
    const pinned = pinnedPort(space, option.player);
    const wish = pinned ?? (wire.lying?.to.device === kind.device && kind.ports.includes(wire.lying.to.port) ? wire.lying.to.port : null);
    return [{ index, kind, wire, wish }];
  });
  const isStick = claims.some(({ wire }) => wire.cable.class === "direct-plug");
  const given = new Map<number, Wire>();
  for (const { index, kind, wire, wish } of claims.toSorted((a, b) => Number(b.wish !== null) - Number(a.wish !== null))) {
    const free = kind.ports.filter((port) => !taken.has(socketKey({ device: kind.device, port })));
    const room = isStick ? roomWith([...given.values()]) : null;
    const uncovered = room ? free.filter((port) => coveringStick(room, { device: kind.device, port }) === null) : free;
    const port = wish && free.includes(wish) ? wish : (uncovered[0] ?? free[0] ?? wire.cable.to.port);
    taken.add(socketKey({ device: kind.device, port }));
    given.set(index, { ...wire, cable: { ...wire.cable, to: { ...wire.cable.to, port } } });
  }
  const wires = [...backbone, ...chosen.flatMap((_, index) => given.get(index) ?? [])];
  if (!isStick) return wires;
  const room = roomWith(wires);
  return wires.some(({ cable }) => coveringStick(room, cable.to) !== null) ? null : wires;
}

/** Cables that lie keep their ids; new ones get free ones. */
export function withOwnIds(space: WiringSpace, wires: readonly Wire[]): readonly Wire[] {
  const taken = new Set(space.job.cables.map(({ id }) => id));
  return wires.map((wire) => {
    if (wire.lying) return wire;
    const id = freeId("cable-1", taken);
    taken.add(id);
    const cable: Cable = { ...wire.cable, id };
    return { ...wire, cable };
  });
}

/** Whether a class does all that another is asked for: itself, and the newest copper whatever other copper does. */
export const servesAs = (have: CableClass, want: CableClass): boolean =>
  have === want || (have === "ultra-high-speed" && want === "premium-high-speed-ethernet");

/** New cables from the van as long as it has one of the class, or a better one, that is long enough, the shortest first; the others are bought. */
export function suppliedBy({ vanCables }: WiringSpace, wires: readonly Wire[]): readonly Wire[] {
  const left = vanCables.map((cable) => ({ cable, free: cable.free })).sort((a, b) => a.cable.lengthM - b.cable.lengthM);
  return wires.map((wire) => {
    if (wire.lying || wire.cable.supply !== "buy") return wire;
    const one = left.find(({ cable, free }) => free > 0 && servesAs(cable.class, wire.cable.class) && cable.lengthM >= wire.cable.lengthM);
    if (one) one.free -= 1;
    return { ...wire, cable: { ...wire.cable, class: one?.cable.class ?? wire.cable.class, supply: one ? "van" : "buy" } };
  });
}
