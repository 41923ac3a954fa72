import { bestAssignment } from "./assignment";
import type { Caps } from "./caps";
import type { Ground, Measure } from "./grounds";
import type { Plug } from "./plugs";
import type { Heard } from "./hear";
import { judge, unplugged, type PlayerOption } from "./settle";
import type { SocketKind } from "./sockets";
import type { Tables } from "./starts";

/** Two plans within this many points are equally good. */
export const ALIKE = 1e-6;

/** The most that the plugs of a backbone can bring while its control switches stand so, sharper with every ground they were worked out on. */
export type Known = Map<Plug, number>;

/**
 * The plugs of a ground, each worth at most what is known of it until it is worked out, and from then on what it brings. They are worked
 * out a step at a time, the cheapest first: the way of its sound alone, then what arrives, then how its acts go.
 */
export class Worth {
  private readonly heard = new Map<Plug, readonly Heard[]>();
  private readonly options = new Map<Plug, PlayerOption | null>();

  constructor(
    private readonly measure: Measure,
    private readonly ground: Ground,
    private readonly known: Known,
    private readonly caps: Caps,
    private readonly mostRemotes = Infinity,
  ) {}

  of(plug: Plug): number {
    const option = this.options.get(plug);
    if (option !== undefined) return option?.points ?? -Infinity;
    const heard = this.heard.get(plug);
    const most = Math.min(this.caps.on(this.ground, plug), this.known.get(plug) ?? Infinity);
    return heard
      ? Math.min(most, Math.max(-Infinity, ...heard.map((one) => one.points + this.caps.actPointsOn(this.ground, plug, one))))
      : most;
  }

  optionOf(plug: Plug): PlayerOption | null | undefined {
    return this.options.get(plug);
  }

  /** How many steps a plug has been worked out. */
  stepsOf(plug: Plug): number {
    return this.options.has(plug) ? 3 : this.heard.has(plug) ? 2 : Number(this.caps.isLooked(plug));
  }

  /** Works a plug out one step further. */
  advance(plug: Plug): void {
    const heard = this.heard.get(plug);
    if (this.options.has(plug)) return;
    if (!plug.wire) this.options.set(plug, unplugged(this.measure, plug));
    else if (!this.caps.isLooked(plug)) this.caps.look(plug);
    else if (!heard) this.hear(plug);
    else this.judge(plug, heard);
  }

  private hear(plug: Plug): void {
    const heard = this.caps.heardOn(this.ground, plug);
    this.heard.set(plug, heard);
    if (heard.length) this.keep(plug, Math.max(...heard.map(({ most }) => most)) + this.caps.actsOf(plug));
  }

  private judge(plug: Plug, heard: readonly Heard[]): void {
    const option = judge(this.measure, this.ground, plug, heard, {
      atMost: (one) => this.caps.actPointsOn(this.ground, plug, one),
      mostRemotes: this.mostRemotes,
    });
    this.options.set(plug, option);
    if (option) this.keep(plug, option.most);
  }

  private keep(plug: Plug, most: number): void {
    this.known.set(plug, Math.min(most, this.known.get(plug) ?? Infinity));
  }
}

/** Players assigned to sockets as far as it was worked out: at most so much they are worth, or just so much where every plug is chosen. */
export interface Assigned {
  readonly worth: number;
  readonly plugs: readonly Plug[];
  /** Null: some plug is not worked out. */
  readonly chosen: readonly PlayerOption[] | null;
}

/**
 * The best assignment of players to sockets, worked out until every plug of it is, or until it is worth no more than the floor; null where
 * they cannot all be placed. Only plugs that stand in a best assignment are worked out: of most the reach alone shows that they cannot.
 */
export function bestSettled(tables: Tables, worth: Worth, floor: number): Assigned | null {
  for (;;) {
    const found = assign(tables, (plug) => worth.of(plug));
    if (!found) return null;
    const chosen = found.plugs.flatMap((plug) => worth.optionOf(plug) ?? []);
    if (chosen.length === found.plugs.length) return { ...found, chosen };
    if (found.worth <= floor) return { ...found, chosen: null };
    // The quicker steps first: often they show that nothing is to be won here.
    const open = found.plugs.filter((plug) => worth.optionOf(plug) === undefined);
    const least = Math.min(...open.map((plug) => worth.stepsOf(plug)));
    const next = open.filter((plug) => worth.stepsOf(plug) === least);
    next.forEach((plug) => worth.advance(plug));
  }
}

/**
 * The tables that are left without one assignment, divided so that nothing is looked at twice.
 * Source: K. G. Murty, Operations Research 16 (1968) 682–687.
 */
export const divided = (tables: Tables, plugs: readonly Plug[]): readonly Tables[] =>
  plugs.flatMap((plug, index) => {
    const left = tables.map((others, player) =>
      player < index ? [plugs[player] ?? plug] : player === index ? others.filter((other) => other !== plug) : others,
    );
    return left.every((others) => others.length > 0) ? [left] : [];
  });

/**
 * At most so much players bring on a backbone; -Infinity where they cannot all be placed. It is looked into no further than it takes to
 * see that it is not more than the floor; whether all of the best assignment was, is told too.
 */
export function mostOfPlayers(tables: Tables, caps: Caps, floor: number): { readonly worth: number; readonly isWhole: boolean } {
  for (;;) {
    const found = assign(tables, (plug) => caps.of(plug));
    if (!found) return { worth: -Infinity, isWhole: true };
    const open = found.plugs.filter((plug) => !caps.isLooked(plug));
    if (open.length === 0 || found.worth <= floor) return { worth: found.worth, isWhole: open.length === 0 };
    const fresh = open.filter((plug) => !caps.isBegun(plug));
    // Equal players would come in its place otherwise, one after the other.
    for (const plug of fresh) for (const one of caps.alike(plug, tables)) caps.begin(one);
    if (fresh.length > 0) continue;
    for (const plug of open) for (const one of caps.alike(plug, tables)) caps.look(one);
  }
}

/** The best assignment of players to sockets by what their plugs are worth; null where one of them has none left. */
export function assign(
  tables: Tables,
  worthOf: (plug: Plug) => number,
): { readonly plugs: readonly Plug[]; readonly worth: number } | null {
  const { kinds, rooms } = seatsOf(tables);
  const best: (Plug | undefined)[][] = [];
  const table = tables.map((plugs, player) => {
    const row = new Array<number>(rooms.length).fill(-Infinity);
    const found: (Plug | undefined)[] = [];
    plugs.forEach((plug, index) => {
      const kind = kinds[player]?.[index] ?? UNPLUGGED;
      const worth = worthOf(plug);
      if (worth <= (row[kind] ?? -Infinity)) return;
      row[kind] = worth;
      found[kind] = plug;
    });
    best.push(found);
    return row;
  });
  const result = bestAssignment(table, rooms);
  if (!result) return null;
  const plugs = result.places.flatMap((place, player) => best[player]?.[place] ?? []);
  return plugs.length === tables.length ? { plugs, worth: result.worth } : null;
}

/** The place of those that have no socket: it has room for all of them. */
const UNPLUGGED = 0;

interface Seats {
  /** The kind of socket of each plug of each player; 0: unplugged. */
  readonly kinds: readonly (readonly number[])[];
  /** How many players each kind takes. */
  readonly rooms: readonly number[];
}

/** Tables are never changed in place, so their sockets are counted once. */
const counted = new WeakMap<Tables, Seats>();

function seatsOf(tables: Tables): Seats {
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
  const found = { kinds, rooms };
  counted.set(tables, found);
  return found;
}
