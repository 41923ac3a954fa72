import type { Weights } from "../evaluation";
import type { WiringSpace } from "../space";
import { type PlanOptions, type PlanSearch, searchPlans } from "../search";
import { checkPlan, type PlanCheck } from "./check";
import { searchOwnLeads } from "./own-leads";
import { planAs } from "./plan-as";

/** A search whose best plan was judged from outside: every single change to it was played, and none is better. */
export interface CheckedSearch extends PlanSearch {
  /** Null where there is no plan, or no time was left. */
  readonly check: PlanCheck | null;
  /** Settings, leads and plugs that the search does not think of and that were taken over because they are better: so many. */
  readonly beyond: number;
  /** No lead for sound from a player itself, beside its HDMI, would make it better; false: there was no time for all of them. */
  readonly leadsTried: boolean;
  /** Nor would several at once; false: only one at a time was tried. */
  readonly severalTried: boolean;
}

/** However long the search took, this share of its time is left for leads of players. */
const LEADS_SHARE = 1 / 3;

/** More single changes than this, one after the other, are not taken over. */
const MOST_TURNS = 12;

/**
 * The plans of a room. The best of them is compared with what a lead for sound from a player itself would bring, judged by its neighbours,
 * and improved by what the search does not think of; with such a change, or where a box would still be better, it is not called proven.
 */
export function checkedPlans(space: WiringSpace, weights: Weights, options: PlanOptions = {}): CheckedSearch {
  const { clock, mostMs = Infinity } = options;
  const begun = clock?.() ?? 0;
  const found = searchPlans(space, weights, options);
  const first = found.plans[0] ?? null;
  const left = clock ? mostMs - (clock() - begun) : Infinity;
  const leads = searchOwnLeads(space, weights, first, { ...(clock ? { clock } : {}), mostMs: Math.max(left, mostMs * LEADS_SHARE) });
  let best = leads.better ?? first;
  const tried = { leadsTried: leads.isWhole, severalTried: leads.isOfSeveral };
  if (!best) return { ...found, ...tried, proven: found.proven && leads.isWhole, check: null, beyond: 0 };
  let check = checkPlan(space, weights, best);
  let beyond = 0;
  for (let turn = 0; turn < MOST_TURNS; turn += 1) {
    const next = check.better.find(({ change }) => change.kind !== "box");
    if (!next) break;
    best = planAs(space, best, next.job, best.points + next.more);
    beyond += 1;
    check = checkPlan(space, weights, best);
  }
  const isProven = found.proven && check.better.length === 0 && beyond === 0 && leads.isWhole;
  const [more] = check.better;
  const { school } = best;
  return {
    ...found,
    plans: [best, ...found.plans.filter((other) => other.school !== school)],
    impossible: found.impossible.filter((other) => other !== school),
    proven: isProven,
    gap: isProven || !found.proven || !more ? found.gap : (100 * more.more) / Math.max(1, best.points),
    check,
    beyond,
    ...tried,
  };
}
