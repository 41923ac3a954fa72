import type { Household } from "./stations";

/** What works only while something else stays as it is: no fault, but whoever changes it later should know. */
export interface Reliance {
  /** The sound of these players comes over ARC alone from one to the other, and HDMI control begins it at both. */
  readonly screen: string;
  readonly taker: string;
  readonly players: readonly string[];
}

/** The sound that ends when somebody switches HDMI control off, by the cable that it comes back over. Source: CEC 1.4 §13.17 (ARC is started over CEC). */
export function relianceOf({ job, solved, soundWays }: Household): readonly Reliance[] {
  const found = new Map<string, Reliance>();
  for (const { player, hops } of solved.rows) {
    if (soundWays.get(player) !== "arc") continue;
    const back = hops.find(({ link, cable }) => link === "arc" && cable !== null);
    const cable = job.cables.find(({ id }) => id === back?.cable);
    if (!cable) continue;
    const players = found.get(cable.id)?.players ?? [];
    if (players.includes(player)) continue;
    found.set(cable.id, { screen: cable.to.device, taker: cable.from.device, players: [...players, player] });
  }
  return [...found.values()];
}
