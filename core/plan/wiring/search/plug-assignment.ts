import { bestAssignment } from "./hungarian";
import type { Plug } from "./plugs";
import type { SocketKind } from "../space";
import { type Placing, type PlugTables, type Variant } from "./school-needs";

/** Two plans within this many points are equally good. */
export const ALIKE = 1e-6;

/** What plugs are worth: upper bounds that are refined in stages, the cheapest first, and final after the last. */
export interface StagedWorth {
  of(plug: Plug): number;
  /** How many stages a plug has been through; Infinity after the last. */
  stageOf(plug: Plug): number;
  /** Takes a plug through one more stage. */
  refine(plug: Plug): void;
}

/** Players in their plugs, and what they are worth together. */
interface PlacedPlugs {
  readonly plugs: readonly Plug[];
  readonly worth: number;
}

/**
 * The best assignment of players to sockets, refined until every plug in it is final or its worth is at or below the cutoff; null where
 * they cannot all be placed. Only plugs that appear in a best assignment are refined.
 */
export function refinedAssignment(
  placing: Placing,
  worth: StagedWorth,
  cutoff: number,
): (PlacedPlugs & { readonly isFinal: boolean }) | null {
  for (;;) {
    const found = assignPlugs(placing, (plug) => worth.of(plug));
    if (!found) return null;
    const stage = Math.min(...found.plugs.map((plug) => worth.stageOf(plug)));
    if (stage === Infinity || found.worth <= cutoff) return { ...found, isFinal: stage === Infinity };
    // Often the cheapest stages are enough to fall below the cutoff.
    const next = found.plugs.filter((plug) => worth.stageOf(plug) === stage);
    next.forEach((plug) => worth.refine(plug));
  }
}

/** The worth of the best assignment, refined so far; -Infinity where the players cannot all be placed. */
export const refinedWorth = (placing: Placing, worth: StagedWorth, cutoff: number): number =>
  refinedAssignment(placing, worth, cutoff)?.worth ?? -Infinity;

/**
 * Partitions what is left of the tables without one assignment into disjoint parts.
 * Source: K. G. Murty, Operations Research 16 (1968) 682–687.
 */
export const partition = (tables: PlugTables, plugs: readonly Plug[]): readonly PlugTables[] =>
  plugs.flatMap((plug, index) => {
    const left = tables.map((others, player) =>
      player < index ? [plugs[player] ?? plug] : player === index ? others.filter((other) => other !== plug) : others,
    );
    return left.every((others) => others.length > 0) ? [left] : [];
  });

/**
 * Upper bound of what players bring by a variant, by a relaxation of it first.
 * @param of upper bound of a placing, refined until it is at or below the cutoff
 */
export function variantUpperBound({ relaxed, placings }: Variant, cutoff: number, of: (placing: Placing) => number): number {
  const bound = of(relaxed);
  return bound <= cutoff || placings.length === 1 ? bound : Math.min(bound, Math.max(...placings.map(of)));
}

/** What a place that must be taken is worth beside the player in it, so that no assignment leaves it empty. */
const MUST_BE_TAKEN = 1e6;

/**
 * The best assignment of players to sockets for the given worth of plugs, with at least so many players in some kinds; null where a player has
 * no plug left, or too few can be there.
 */
export function assignPlugs({ tables, least }: Placing, worthOf: (plug: Plug) => number): PlacedPlugs | null {
  const { kinds, numbers, rooms } = seatsOf(tables);
  const needed = [...least].map(([kind, count]) => ({ place: numbers.get(kind), count }));
  if (needed.some(({ place, count }) => place === undefined || (rooms[place] ?? 0) < count)) return null;
  const best: (Plug | undefined)[][] = [];
  const table = tables.map((plugs, player) => {
    const row = new Array<number>(rooms.length + needed.length).fill(-Infinity);
    const found: (Plug | undefined)[] = [];
    plugs.forEach((plug, index) => {
      const kind = kinds[player]?.[index] ?? UNPLUGGED;
      const worth = worthOf(plug);
      if (worth <= (row[kind] ?? -Infinity)) return;
      row[kind] = worth;
      found[kind] = plug;
    });
    // The places that must be taken stand beside the others of their kind.
    needed.forEach(({ place = UNPLUGGED }, index) => {
      row[rooms.length + index] = (row[place] ?? -Infinity) + MUST_BE_TAKEN;
      found[rooms.length + index] = found[place];
    });
    best.push(found);
    return row;
  });
  const left = rooms.map((room, place) => room - needed.reduce((sum, one) => sum + (one.place === place ? one.count : 0), 0));
  const result = bestAssignment(table, [...left, ...needed.map(({ count }) => count)]);
  if (!result) return null;
  const plugs = result.places.flatMap((place, player) => best[player]?.[place] ?? []);
  const taken = result.places.filter((place) => place >= rooms.length).length;
  const isWhole = taken === needed.reduce((sum, { count }) => sum + count, 0);
  return plugs.length === tables.length && isWhole ? { plugs, worth: plugs.reduce((sum, plug) => sum + worthOf(plug), 0) } : null;
}

/** The place of unplugged players: it has room for all of them. */
const UNPLUGGED = 0;

interface Seats {
  /** The kind of socket of each plug of each player; 0: unplugged. */
  readonly kinds: readonly (readonly number[])[];
  readonly numbers: ReadonlyMap<SocketKind, number>;
  /** How many players each kind takes. */
  readonly rooms: readonly number[];
}

/** Tables are never changed in place, so their sockets are counted once. */
const counted = new WeakMap<PlugTables, Seats>();

function seatsOf(tables: PlugTables): Seats {
  const known = counted.get(tables);
  if (known) return known;
  const numbers = new Map<SocketKind, number>();
  const rooms = [tables.length];
  const numberOf = (kind: SocketKind): number => {
    const number = numbers.get(kind) ?? rooms.length;
    if (number === rooms.length) rooms.push(kind.ports.length);
    numbers.set(kind, number);
    return number;
  };
  const kinds = tables.map((plugs) => plugs.map(({ kind }) => (kind ? numberOf(kind) : UNPLUGGED)));
  const found = { kinds, numbers, rooms };
  counted.set(tables, found);
  return found;
}
