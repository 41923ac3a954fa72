import type { Plug } from "./plugs";

/** How far plugs of each player in each hub fell below what was known of them when they were worked out, to know which to work out first. */
export class Falls {
  private readonly known = new Map<string, { readonly sum: number; readonly count: number }>();

  note(plug: Plug, fall: number): void {
    const { sum, count } = this.known.get(keyOf(plug)) ?? { sum: 0, count: 0 };
    this.known.set(keyOf(plug), { sum: sum + fall, count: count + 1 });
  }

  /** Those of some plugs of different players that are expected to fall furthest: a quarter of all players at a time. */
  furthest(plugs: readonly Plug[], players: number): readonly Plug[] {
    const expected = plugs.map((plug) => ({ plug, fall: this.expectedOf(plug) }));
    return expected
      .sort((a, b) => b.fall - a.fall)
      .slice(0, Math.ceil(players / 4))
      .map(({ plug }) => plug);
  }

  /** As far as those before it did on the whole. */
  private expectedOf(plug: Plug): number {
    const { sum = 0, count = 1 } = this.known.get(keyOf(plug)) ?? {};
    return sum / count;
  }
}

const keyOf = ({ player, kind }: Plug): string => `${player} ${kind?.device ?? ""}`;
