import { present } from "@/core/outcome";
import { actFigures, eventOf, isOnPurpose, type Act, type ActFigures, type Household } from "@/core/cec";
import type { WiringSpace } from "../space";
import { ACT_WEIGHTS, actEase } from "./weights";

/** An everyday act, and how much of all of them it counts. */
export interface WeighedAct {
  readonly act: Act;
  readonly weight: number;
}

/** A space is never changed in place, so its acts are gathered once. */
const gathered = new WeakMap<WiringSpace, readonly WeighedAct[]>();

/** The everyday acts by which plans are compared, with their weights, which together are 1. */
export function commonActs(space: WiringSpace): readonly WeighedAct[] {
  const known = gathered.get(space) ?? actsOfHousehold(space);
  gathered.set(space, known);
  return known;
}

function actsOfHousehold(space: WiringSpace): readonly WeighedAct[] {
  const main = space.screens.find(({ id }) => id === space.mainScreen);
  const hasOwn = main?.sources.some(({ contents }) => contents.length > 0) ?? false;
  const isWatched = hasOwn || space.players.length > 0;
  const acts: Act[] = [
    { act: "screen-on" },
    ...(hasOwn ? [{ act: "news" } as const] : []),
    ...(isWatched ? ([{ act: "louder" }, { act: "mute" }] as const) : []),
    { act: "screen-off" },
    ...space.players.map(({ id }): Act => ({ act: "wake", device: id })),
    // Of a player that is known to quarrel also what it does to the others.
    ...space.players.flatMap(({ id, control }): Act[] => [
      ...(control.quirks.length ? [{ act: "put-away", device: id } as const] : []),
      ...(control.quirks.includes("wakes-by-itself") ? [{ act: "night-update", device: id } as const] : []),
    ]),
  ];
  const weights = acts.map((act) => ACT_WEIGHTS[eventOf(act).split(":")[0] ?? ""] ?? 1);
  const sum = weights.reduce((total, weight) => total + weight, 0);
  return acts.map((act, index) => ({ act, weight: present(weights[index], "the weight of an act") / sum }));
}

/** The player that an act depends on; the first for those that begin while something is watched. */
export const playerOfAct = (space: WiringSpace, act: Act): string | undefined =>
  act.act === "wake" || act.act === "put-away" || act.act === "night-update" ? act.device : space.players[0]?.id;

/** How easy acts are by their figures, weighed; an act that nobody in the room can do counts nothing. */
export function easeOf(figures: readonly ActFigures[], acts: readonly WeighedAct[]): number {
  return acts.reduce((sum, { act, weight }) => {
    const found = figures.find(({ event }) => event === eventOf(act));
    // What happens of itself, at night perhaps, disturbs nobody where the device takes no part, and nobody is there to press a key.
    if (!isOnPurpose(act)) return sum + (!found || found.verdict === "as-wished" ? weight : 0);
    return sum + (found ? weight * actEase(found) : 0);
  }, 0);
}

/** Acts that cannot be done, with whatever steps, or that never come to rest. */
export const failingActs = (acts: readonly ActFigures[]): readonly ActFigures[] =>
  acts.filter(({ verdict }) => verdict === "fails" || verdict === "unstable");

/** How many remotes it takes to get along with acts; no number is enough where one that is done on purpose cannot be done at all. */
export function remotesNeeded(figures: readonly ActFigures[], acts: readonly WeighedAct[]): number {
  const wanted = new Set(acts.flatMap(({ act }) => (isOnPurpose(act) ? [eventOf(act)] : [])));
  return failingActs(figures).some(({ event }) => wanted.has(event)) ? Infinity : Math.max(1, ...figures.map(({ remotes }) => remotes));
}

/** How the everyday acts go by which plans are compared. */
export const commonFigures = (space: WiringSpace, household: Household): readonly ActFigures[] =>
  actFigures(
    household,
    commonActs(space).map(({ act }) => act),
  );
