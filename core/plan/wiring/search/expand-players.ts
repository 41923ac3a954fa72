import { type AssignmentNode, type AssignmentProblem, type OpenNode, playersOn, type SearchState } from "./open-nodes";
import { draftOf } from "./plan-draft";
import { ALIKE, partition, refinedAssignment } from "./plug-assignment";
import { asPlugNeed, unmetBy } from "./row-needs";
import { rowsOfEach } from "./rows-of-each";
import { choicesMeeting } from "./school-needs";

/** Solves the assignment as far as the cutoff requires. */
export function expandPlayers(run: SearchState, on: AssignmentProblem, cutoff: number): readonly OpenNode[] {
  const found = refinedAssignment(on, on.worth, cutoff - on.base);
  const bound = on.base + (found?.worth ?? -Infinity);
  if (!found || bound <= run.incumbent(on.school) + ALIKE) return [];
  if (!found.isFinal) return [playersOn(on, bound)];
  const { plugs } = found;
  const chosen = plugs.flatMap((plug) => on.worth.optionOf(plug) ?? []);
  return [{ kind: "assignment", on, plugs, chosen, bound, schools: [on.school], depth: 6 }];
}

/**
 * Plays an assignment through the full engine where its estimate beats the incumbent; returns the other assignments (Murty's partition).
 * Where a lead carries nothing, or nothing sounds, what is left are those in which some player sees to it.
 */
export function expandAssignment(run: SearchState, { on, plugs, chosen, bound }: AssignmentNode): readonly OpenNode[] {
  const { school, configuration, tables } = on;
  const unmet = unmetBy(on.rowNeeds, rowsOfEach(run.context, configuration, chosen));
  if (unmet.length > 0)
    return choicesMeeting(
      unmet.map((need) => asPlugNeed(run.context, on, need)),
      tables,
    ).map((rest) => playersOn({ ...on, tables: rest }, bound));
  const left = () => partition(tables, plugs).map((rest) => playersOn({ ...on, tables: rest }, bound));
  const draft = draftOf(run.context, configuration, school, chosen);
  const estimate = draft?.estimate();
  if (!draft || !estimate || estimate.points <= (run.best.get(school)?.points ?? -Infinity) + ALIKE) return left();
  const plan = run.keep(draft.plan());
  return plan && plan.points >= bound - ALIKE ? [] : left();
}
