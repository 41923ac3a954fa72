import type { Arrival } from "@/core/chain";
import { endKey } from "@/core/job";
import { takesLead } from "../evaluation";
import { hasOwnLead, isLead, type WiringSpace } from "../space";
import type { Topology } from "../topology";
import type { Configuration, PlanContext } from "./configurations";
import type { PlugBounds } from "./plug-bounds";
import type { PlugValues } from "./plug-values";
import type { Plug } from "./plugs";
import { rowsOfOption } from "./rows-of-each";
import type { Need, PlugTables } from "./school-needs";

/** Something that a row of a plan has to do, or it is no plan. */
export interface RowNeed {
  readonly isMetBy: (row: Arrival) => boolean;
  /** Whether a row of a plug could meet it by what the plug reaches. */
  readonly isInReachOf: (plug: Plug) => boolean;
}

/** What rows have to do on a topology: the sound of some row takes each lead, or the lead is not laid; and where some plan sounds, every plan does. */
export function rowNeedsOf(space: WiringSpace, { wires }: Topology, mustSound: boolean): readonly RowNeed[] {
  const leads = wires.flatMap(({ cable }): RowNeed[] =>
    isLead(cable)
      ? [{ isMetBy: (row) => takesLead(row, cable), isInReachOf: ({ reach }) => reach?.leads.has(endKey(cable.to)) ?? false }]
      : [],
  );
  const sounds: RowNeed = {
    isMetBy: ({ arrives, system }) => arrives !== null && system === space.system.id,
    isInReachOf: ({ player, wire }) => wire !== null || hasOwnLead(space, player),
  };
  return mustSound ? [...leads, sounds] : leads;
}

/** The needs that no row meets. */
export const unmetBy = (needs: readonly RowNeed[], rows: readonly Arrival[]): readonly RowNeed[] =>
  needs.filter(({ isMetBy }) => !rows.some(isMetBy));

/** Whether every need is met by the rows of a configuration, or by some plug there, whatever its player is set to. */
export const canBeMet = (bounds: PlugBounds, configuration: Configuration, needs: readonly RowNeed[], tables: PlugTables): boolean =>
  unmetBy(needs, configuration.rows).every(({ isMetBy, isInReachOf }) =>
    tables.some((plugs) =>
      plugs.some(
        (plug) => isInReachOf(plug) && (!plug.wire || bounds.outcomes.on(configuration, plug).some(({ of }) => of.rows.some(isMetBy))),
      ),
    ),
  );

/** The same as a need of plugs: met by those whose player, set as is best for it, has such a row. */
export const asPlugNeed = (
  context: PlanContext,
  { configuration, worth }: { readonly configuration: Configuration; readonly worth: PlugValues },
  { isMetBy, isInReachOf }: RowNeed,
): Need => ({
  count: 1,
  isMetBy: (plug) => {
    if (!isInReachOf(plug)) return false;
    if (plug.wire && !worth.outcomesFor(plug).some(({ of }) => of.rows.some(isMetBy))) return false;
    const option = worth.settled(plug);
    return option !== null && rowsOfOption(context, configuration, option).some(isMetBy);
  },
});
