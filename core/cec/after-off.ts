import { castOf, watchingOf } from "./acts";
import { simulate } from "./simulate";
import { isPlayer } from "./station";
import type { Household } from "./stations";

/**
 * What stays on after the main screen's power key, whichever player was in use: what takes no part in control, what does not go off with the
 * others, and, where devices wake each other for ever, all of them. A device without a power key of its own is not counted.
 */
export function staysOnAfterOff(household: Household, seed = 1): readonly string[] {
  const screen = castOf(household).screen?.nature.device;
  if (screen === undefined) return [];
  const players = [...household.stations.values()].flatMap(({ nature }) => (isPlayer(nature.kind) ? [nature.device] : []));
  const left = new Set<string>();
  for (const player of [undefined, ...players]) {
    const { end, restless } = simulate(
      watchingOf(household, seed, player),
      [{ atMs: 0, device: screen, key: { press: "power-off" } }],
      seed,
    );
    for (const { nature, power } of end.values())
      if (!nature.leftOn && (restless ? nature.device !== screen : power !== "standby")) left.add(nature.device);
  }
  return [...household.stations.keys()].filter((device) => left.has(device));
}
