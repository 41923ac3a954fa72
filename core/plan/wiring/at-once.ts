import { addEffort, menuEffort, wireEffort } from "./effort";
import { everyGround, type Measure } from "./grounds";
import { choicesOf } from "./hub-settings";
import { planOf, type WiringPlan } from "./make-plan";
import { assign } from "./nodes";
import type { PlayerOption } from "./settle";
import { startsOf } from "./starts";
import type { Waiting } from "./waiting";

/**
 * A plan that is there at once: everybody where the reach of the sockets alone puts it, with the first of the settings that would be
 * tried. Nothing says that it is good; it is something to show, and to beat. Null where wishes would have to be looked into, or where
 * it cannot be.
 */
export function planAtOnce(measure: Measure, { backbone, schools, plugs }: Waiting): WiringPlan | null {
  const { space } = measure;
  if (space.musts.some(({ want }) => want !== "keep")) return null;
  const ground = everyGround(measure, backbone).find(({ isPossible }) => isPossible);
  for (const school of ground ? schools : []) {
    const [start] = startsOf(space, backbone, school, plugs.tables);
    const found = start && assign(start, ({ most }) => most);
    if (!found || !ground) continue;
    const chosen = found.plugs.flatMap(({ player: id, kind, wire }): PlayerOption[] => {
      const player = space.players.find((one) => one.id === id);
      const settings = player && wire ? choicesOf(player, false).flatMap(([first]) => first ?? []) : [];
      const menus = menuEffort(player ? [player] : [], settings);
      const effort = wire ? addEffort(wireEffort(space, wire), menus) : menus;
      return [{ player: id, kind, wire, settings, effort, points: 0, remotes: 1, most: 0 }];
    });
    const plan = planOf(measure, ground, school, chosen);
    if (plan?.figures.heard) return plan;
  }
  return null;
}
