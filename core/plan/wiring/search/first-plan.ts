import { addEffort, menuEffort, wireEffort } from "../evaluation";
import type { Configuration, PlanContext } from "./configurations";
import { everyConfiguration } from "./setting-group";
import { choicesOf, findPlayer } from "../space";
import { draftOf, type WiringPlan } from "./plan-draft";
import { assignPlugs } from "./plug-assignment";
import type { PlayerOption } from "./judge-plug";
import { variantOf } from "./school-needs";
import type { BoundedTopology } from "./bounded-topology";

/**
 * A first incumbent without any search: every player where the reach of the sockets puts it, with the first settings that would be tried.
 * It is not claimed to be good. Null where wishes would have to be examined, where it is not possible, or where an estimate says that it has
 * no more than so many points.
 */
export function firstPlan(context: PlanContext, { topology, schools, plugs }: BoundedTopology, points = -Infinity): WiringPlan | null {
  const { space } = context;
  if (space.musts.some(({ want }) => want !== "keep")) return null;
  const configuration = firstPossible(context, topology);
  for (const school of configuration ? schools : []) {
    const [placing] = variantOf(space, topology, school, plugs)?.placings ?? [];
    const found = placing && assignPlugs(placing, ({ most }) => most);
    if (!found || !configuration) continue;
    const chosen = found.plugs.flatMap(({ player: id, kind, wire }): PlayerOption[] => {
      const player = findPlayer(space, id);
      const settings = wire ? choicesOf(player, false).flatMap(([first]) => first ?? []) : [];
      const menus = menuEffort([player], settings);
      const effort = wire ? addEffort(wireEffort(space, wire), menus) : menus;
      return [{ player: id, kind, wire, settings, effort, points: 0, remotes: 1 }];
    });
    const draft = draftOf(context, configuration, school, chosen);
    const isBetter = points === -Infinity || (draft?.estimate()?.points ?? -Infinity) > points;
    const plan = isBetter ? draft?.plan() : null;
    if (plan?.figures.heard) return plan;
  }
  return null;
}

function firstPossible(context: PlanContext, topology: BoundedTopology["topology"]): Configuration | undefined {
  for (const configuration of everyConfiguration(context, topology)) if (configuration.isPossible) return configuration;
  return undefined;
}
