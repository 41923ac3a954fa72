import type { Arrival } from "@/core/chain";
import type { Device } from "@/core/device";
import { endKey, type CableEnd } from "@/core/job";
import { takesLead } from "../evaluation";
import { firstPort, hasOwnLead, isLead, type Reach, reachOf, type WiringSpace, withoutShutWays } from "../space";
import type { Topology } from "../topology";
import type { BoundedTopology } from "./bounded-topology";
import type { Configuration, PlanContext } from "./configurations";
import type { PlugBounds } from "./plug-bounds";
import type { PlugValues } from "./plug-values";
import type { Plug } from "./plugs";
import { rowsOfOption } from "./rows-of-each";
import type { Need, PlugTables } from "./school-needs";

/** Something that a row of a plan has to do, or it is no plan. */
export interface RowNeed {
  readonly isMetBy: (row: Arrival) => boolean;
  /** Whether a row could meet it by what its sound reaches. */
  readonly isInReach: (reach: Reach) => boolean;
  /** Whether a row of a player could, wherever that is plugged. */
  readonly isMetAside: (player: string) => boolean;
}

/** What rows have to do on a topology: the sound of some row takes each lead, or the lead is not laid; and where some plan sounds, every plan does. */
export function rowNeedsOf(space: WiringSpace, { wires }: Topology, mustSound: boolean): readonly RowNeed[] {
  const leads = wires.flatMap(({ cable }): RowNeed[] =>
    isLead(cable)
      ? [{ isMetBy: (row) => takesLead(row, cable), isInReach: (reach) => reach.leads.has(endKey(cable.to)), isMetAside: () => false }]
      : [],
  );
  const sounds: RowNeed = {
    isMetBy: ({ arrives, system }) => arrives !== null && system === space.system.id,
    isInReach: (reach) => reach.sounds,
    isMetAside: (player) => hasOwnLead(space, player),
  };
  return mustSound ? [...leads, sounds] : leads;
}

const isInReachOf = ({ isInReach, isMetAside }: RowNeed, { player, reach }: Plug): boolean =>
  (reach !== null && isInReach(reach)) || isMetAside(player);

/**
 * Whether every need could be met on some configuration of a group, by the ways for sound that its settings leave open.
 * @param hubs with the settings that all of its configurations share, the others known to nobody
 */
export function mayBeMet(
  space: WiringSpace,
  { plugs, topology }: Pick<BoundedTopology, "plugs" | "topology">,
  hubs: readonly Device[],
  needs: readonly RowNeed[],
): boolean {
  const reach = reachOf(space, { hubs: hubs.map(withoutShutWays), wires: topology.wires });
  const entries: readonly CableEnd[] = [
    ...plugs.ofEachKind.flatMap(({ kind }) => (kind ? [{ device: kind.device, port: firstPort(kind) }] : [])),
    ...[...hubs, ...space.fixedDevices].flatMap(({ id, sources }) => sources.map((source) => ({ device: id, port: source.id }))),
  ];
  return needs.every(
    ({ isInReach, isMetAside }) => entries.some((entry) => isInReach(reach(entry))) || space.players.some(({ id }) => isMetAside(id)),
  );
}

/** The needs that no row meets. */
export const unmetBy = (needs: readonly RowNeed[], rows: readonly Arrival[]): readonly RowNeed[] =>
  needs.filter(({ isMetBy }) => !rows.some(isMetBy));

/** Whether every need is met by the rows of a configuration, or by some plug there, whatever its player is set to. */
export const canBeMet = (bounds: PlugBounds, configuration: Configuration, needs: readonly RowNeed[], tables: PlugTables): boolean =>
  unmetBy(needs, configuration.rows).every((need) =>
    tables.some((plugs) =>
      plugs.some(
        (plug) =>
          isInReachOf(need, plug) && (!plug.wire || bounds.outcomes.on(configuration, plug).some(({ of }) => of.rows.some(need.isMetBy))),
      ),
    ),
  );

/** The same as a need of plugs: met by those whose player, set as is best for it, has such a row. */
export const asPlugNeed = (
  context: PlanContext,
  { configuration, worth }: { readonly configuration: Configuration; readonly worth: PlugValues },
  need: RowNeed,
): Need => ({
  count: 1,
  isMetBy: (plug) => {
    if (!isInReachOf(need, plug)) return false;
    if (plug.wire && !worth.outcomesFor(plug).some(({ of }) => of.rows.some(need.isMetBy))) return false;
    const option = worth.settled(plug);
    return option !== null && rowsOfOption(context, configuration, option).some(need.isMetBy);
  },
});
