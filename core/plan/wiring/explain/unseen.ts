import type { Arrival } from "@/core/chain";
import type { WiringPlan } from "../search";

/** A screen with the players that have a place in a plan and of whose pictures it shows none. */
export interface Unseen {
  readonly screen: string;
  readonly players: readonly string[];
  /** It shows nothing of any player. */
  readonly isDark: boolean;
}

/** What the screens of a room with several do not show of its players; where there is one screen the rows themselves tell. */
export function unseenOn({ job, places }: Pick<WiringPlan, "job" | "places">, rows: readonly Arrival[]): readonly Unseen[] {
  const screens = job.devices.filter(({ role, display }) => role === "screen" && display !== null);
  if (screens.length < 2) return [];
  const seen = new Set(rows.flatMap(({ player, screen, picture }) => (picture && screen ? [`${player} ${screen}`] : [])));
  const players = job.devices.filter(
    ({ id, sources }) => (places.get(id) ?? null) !== null && sources.some(({ contents }) => contents.some(({ picture }) => picture)),
  );
  return screens.flatMap(({ id: screen }): Unseen[] => {
    const missing = players.flatMap(({ id }) => (seen.has(`${id} ${screen}`) ? [] : [id]));
    return missing.length ? [{ screen, players: missing, isDark: missing.length === players.length }] : [];
  });
}
