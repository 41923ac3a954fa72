import { castOf, watchingOf } from "./acts";
import { simulate } from "./simulate";
import { isPlayer, type Station } from "./station";
import type { Household } from "./stations";

/**
 * What stays on after the main screen's power key, whichever player or other screen was in use: what takes no part in control, what does not
 * go off with the others, and, where devices wake each other for ever, all of them. A device without a power key of its own is not counted.
 */
export function staysOnAfterOff(household: Household, seed = 1): readonly string[] {
  const screen = castOf(household).screen?.nature.device;
  if (screen === undefined) return [];
  const left = new Set<string>();
  for (const start of inUse(household, screen, seed)) {
    const { end, restless } = simulate(start, [{ atMs: 0, device: screen, key: { press: "power-off" } }], seed);
    for (const { nature, power } of end.values())
      if (!nature.leftOn && (restless ? nature.device !== screen : power !== "standby")) left.add(nature.device);
  }
  return [...household.stations.keys()].filter((device) => left.has(device));
}

/** The room while each player is watched in turn, and with each other screen switched on beside. */
function inUse(household: Household, screen: string, seed: number): readonly ReadonlyMap<string, Station>[] {
  const natures = [...household.stations.values()].map(({ nature }) => nature);
  const usual = watchingOf(household, seed);
  return [
    usual,
    ...natures.flatMap(({ kind, device }) => (isPlayer(kind) ? [watchingOf(household, seed, device)] : [])),
    ...natures.flatMap(({ kind, device }) =>
      kind === "tv" && device !== screen ? [simulate(usual, [{ atMs: 0, device, key: { press: "power-on" } }], seed).end] : [],
    ),
  ];
}
