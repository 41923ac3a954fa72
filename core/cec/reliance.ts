import { castOf } from "./acts";
import type { Household } from "./stations";

/** What works only while something else stays as it is: no fault, but whoever changes it later should know. */
export interface Reliance {
  /** The sound of these players comes back over ARC alone, which HDMI control begins at both. */
  readonly screen: string;
  readonly system: string;
  readonly players: readonly string[];
}

/** The sound that ends when somebody switches HDMI control off; null where none does. Source: CEC 1.4 §13.17 (ARC is started over CEC). */
export function relianceOf(household: Household): Reliance | null {
  const { screen, system } = castOf(household);
  const players = [...household.soundWays].flatMap(([player, way]) => (way === "arc" ? [player] : []));
  return screen && system && players.length ? { screen: screen.nature.device, system: system.nature.device, players } : null;
}
