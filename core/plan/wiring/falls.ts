/** How far the plugs of each player fell below what was known of them when they were worked out, to know whose to work out first. */
export class Falls {
  private readonly known = new Map<string, { readonly sum: number; readonly count: number }>();

  /** How far a plug of a player is expected to fall: as far as those before it did on the whole. */
  expectedOf(player: string): number {
    const { sum = 0, count = 1 } = this.known.get(player) ?? {};
    return sum / count;
  }

  note(player: string, fall: number): void {
    const { sum, count } = this.known.get(player) ?? { sum: 0, count: 0 };
    this.known.set(player, { sum: sum + fall, count: count + 1 });
  }

  /** Those of some plugs of different players that are expected to fall furthest: a quarter of all players at a time. */
  furthest<Plugged extends { readonly player: string }>(plugs: readonly Plugged[], players: number): readonly Plugged[] {
    const ordered = plugs.toSorted((a, b) => this.expectedOf(b.player) - this.expectedOf(a.player));
    return ordered.slice(0, Math.ceil(players / 4));
  }
}
