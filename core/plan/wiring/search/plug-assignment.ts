import { bestAssignment } from "./hungarian";
import type { PlugBounds } from "./plug-bounds";
import type { PlugValues } from "./plug-values";
import type { Plug } from "./plugs";
import type { PlayerOption } from "./judge-plug";
import type { SocketKind } from "../space";
import { type Placing, type PlugTables, type Variant } from "./school-needs";

/** Two plans within this many points are equally good. */
export const ALIKE = 1e-6;

/** An assignment of players to sockets: its upper bound, or its exact worth where every plug is evaluated. */
export interface AssignmentResult {
  readonly worth: number;
  readonly plugs: readonly Plug[];
  /** Null: some plug is not evaluated yet. */
  readonly chosen: readonly PlayerOption[] | null;
}

/**
 * The best assignment of players to sockets, refined until every plug in it is evaluated or its bound is at or below the cutoff; null where
 * they cannot all be placed. Only plugs that appear in a best assignment are evaluated.
 */
export function solveAssignment(placing: Placing, worth: PlugValues, cutoff: number): AssignmentResult | null {
  for (;;) {
    const found = assignPlugs(placing, (plug) => worth.of(plug));
    if (!found) return null;
    const chosen = found.plugs.flatMap((plug) => worth.optionOf(plug) ?? []);
    if (chosen.length === found.plugs.length) return { ...found, chosen };
    if (found.worth <= cutoff) return { ...found, chosen: null };
    // The cheapest stages first: often they are enough to fall below the cutoff.
    const open = found.plugs.filter((plug) => worth.optionOf(plug) === undefined);
    const stage = Math.min(...open.map((plug) => worth.stageOf(plug)));
    const next = open.filter((plug) => worth.stageOf(plug) === stage);
    next.forEach((plug) => worth.refine(plug));
  }
}

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

/**
 * Upper bound of what players bring on a topology; -Infinity where they cannot all be placed. Refined until it is at or below the cutoff, or
 * every plug of the best assignment is.
 */
export function playersUpperBound(placing: Placing, bounds: PlugBounds, cutoff: number): number {
  const { tables } = placing;
  for (;;) {
    const found = assignPlugs(placing, (plug) => bounds.of(plug));
    if (!found) return -Infinity;
    const open = found.plugs.filter((plug) => !bounds.isRefined(plug));
    if (open.length === 0 || found.worth <= cutoff) return found.worth;
    const fresh = open.filter((plug) => !bounds.isStarted(plug));
    // Otherwise equal players would take its place one after the other.
    for (const plug of fresh) for (const one of bounds.alike(plug, tables)) bounds.start(one);
    if (fresh.length > 0) continue;
    for (const plug of open) for (const one of bounds.alike(plug, tables)) bounds.refine(one);
  }
}

/** What a place that must be taken is worth beside the player in it, so that no assignment leaves it empty. */
const MUST_BE_TAKEN = 1e6;

/**
 * The best assignment of players to sockets for the given worth of plugs, with at least so many players in some kinds; null where a player has
 * no plug left, or too few can be there.
 */
export function assignPlugs(
  { tables, least }: Placing,
  worthOf: (plug: Plug) => number,
): { readonly plugs: readonly Plug[]; readonly worth: number } | null {
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
