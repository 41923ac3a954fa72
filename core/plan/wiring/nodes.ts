import { bestAssignment } from "./assignment";
import type { Ground, Measure } from "./grounds";
import type { Plug } from "./plugs";
import type { School } from "./schools";
import { settle, type PlayerOption } from "./settle";
import type { Tables } from "./starts";

/** Two plans within this many points are equally good. */
export const ALIKE = 1e-6;

/** The most that the plugs of a backbone can bring while its control switches stand so, sharper with every ground they were worked out on. */
export type Known = Map<Plug, number>;

/** The plugs of a ground, each worth at most what is known of it until it is worked out, and from then on what it brings. */
export class Worth {
  private readonly options = new Map<Plug, PlayerOption | null>();

  constructor(
    private readonly measure: Measure,
    private readonly ground: Ground,
    private readonly known: Known,
  ) {}

  of(plug: Plug): number {
    const option = this.options.get(plug);
    return option === undefined ? Math.min(plug.most, this.known.get(plug) ?? Infinity) : (option?.points ?? -Infinity);
  }

  optionOf(plug: Plug): PlayerOption | null | undefined {
    return this.options.get(plug);
  }

  /** How far plugs of its player fell below their bound so far. */
  expectedFall({ player }: Plug): number {
    const { sum = 0, count = 1 } = this.measure.falls.get(player) ?? {};
    return sum / count;
  }

  settle(plug: Plug): void {
    if (this.options.has(plug)) return;
    const most = this.of(plug);
    const option = settle(this.measure, this.ground, plug);
    this.options.set(plug, option);
    const falls = this.measure.falls.get(plug.player) ?? { sum: 0, count: 0 };
    this.measure.falls.set(plug.player, { sum: falls.sum + most - (option?.points ?? 0), count: falls.count + 1 });
    if (option) this.known.set(plug, Math.min(option.most, this.known.get(plug) ?? Infinity));
  }
}

/**
 * The best assignment of players to sockets in which every plug is worked out; null where none is worth more than the floor. Only plugs
 * that stand in a best assignment are worked out: of most the reach alone shows that they cannot.
 */
export function bestSettled(
  tables: Tables,
  worth: Worth,
  floor: number,
): { readonly chosen: readonly PlayerOption[]; readonly plugs: readonly Plug[]; readonly worth: number } | null {
  for (;;) {
    const found = assign(tables, (plug) => worth.of(plug));
    if (!found || found.worth <= floor) return null;
    const chosen = found.plugs.flatMap((plug) => worth.optionOf(plug) ?? []);
    if (chosen.length === found.plugs.length) return { ...found, chosen };
    // Whoever fell furthest below what its reach allows so far is worked out first: then it is soon seen that nothing is to be won here.
    const open = found.plugs.filter((plug) => worth.optionOf(plug) === undefined);
    const first = open.toSorted((a, b) => worth.expectedFall(b) - worth.expectedFall(a));
    first.slice(0, Math.ceil(tables.length / 4)).forEach((plug) => worth.settle(plug));
  }
}

/** An assignment on a ground that could still win, with the plugs from which it was chosen. */
export interface Node {
  readonly ground: Ground;
  readonly worth: Worth;
  readonly school: School;
  /** The points of a plan before its players. */
  readonly base: number;
  readonly tables: Tables;
  readonly found: NonNullable<ReturnType<typeof bestSettled>>;
  readonly bound: number;
}

type Place = Omit<Node, "found" | "bound" | "tables">;

/** The best assignment from some tables; null where none could have more points than the floor. */
export function nodeOf(place: Place, tables: Tables, floor: number): Node | null {
  const found = bestSettled(tables, place.worth, floor - place.base);
  return found && { ...place, tables, found, bound: place.base + found.worth };
}

/**
 * What is left of a node's tables without its assignment, divided so that nothing is looked at twice.
 * Source: K. G. Murty, Operations Research 16 (1968) 682–687.
 */
export function divided({ tables, found: { plugs }, ground, worth, school, base }: Node, floor: number): readonly Node[] {
  return plugs.flatMap((plug, index): Node[] => {
    const left = tables.map((others, player) =>
      player < index ? [plugs[player] ?? plug] : player === index ? others.filter((other) => other !== plug) : others,
    );
    const node = left.every((others) => others.length > 0) ? nodeOf({ ground, worth, school, base }, left, floor) : null;
    return node ? [node] : [];
  });
}

/** The best assignment of players to sockets by what their plugs are worth; null where one of them has none left. */
export function assign(
  tables: Tables,
  worthOf: (plug: Plug) => number,
): { readonly plugs: readonly Plug[]; readonly worth: number } | null {
  if (tables.some((plugs) => plugs.length === 0)) return null;
  const kinds = new Map<string, number>();
  for (const { kind } of tables.flat()) if (kind) kinds.set(kindKey(kind), kind.ports.length);
  const columns = [...kinds].flatMap(([key, count]) => Array.from({ length: Math.min(count, tables.length) }, () => key));
  const bestIn = tables.map((plugs) => {
    const found = new Map<string, { plug: Plug; worth: number }>();
    for (const plug of plugs) {
      const key = plug.kind ? kindKey(plug.kind) : "";
      const worth = worthOf(plug);
      if (worth > (found.get(key)?.worth ?? -Infinity)) found.set(key, { plug, worth });
    }
    return found;
  });
  // Behind the sockets a place without one for each player.
  const table = bestIn.map((found, player) => [
    ...columns.map((key) => found.get(key)?.worth ?? -Infinity),
    ...tables.map((_, index) => (index === player ? (found.get("")?.worth ?? -Infinity) : -Infinity)),
  ]);
  const result = bestAssignment(table);
  if (!result) return null;
  const plugs = result.places.flatMap((place, player) => bestIn[player]?.get(columns[place] ?? "")?.plug ?? []);
  return plugs.length === tables.length ? { plugs, worth: result.worth } : null;
}

const kindKey = ({ device, ports }: { readonly device: string; readonly ports: readonly string[] }): string =>
  `${device} ${ports.join(" ")}`;
