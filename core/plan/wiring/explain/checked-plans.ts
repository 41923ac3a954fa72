import type { Weights } from "../evaluation";
import { hdmiOutputs, inputKinds, NO_SOCKETS, type WiringSpace } from "../space";
import { type PlanOptions, type PlanSearch, searchPlans } from "../search";
import { ALIKE, checkPlan, type PlanCheck, worthOfRoom } from "./check";
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
  readonly leftOut: LeftOut;
}

/** What pictures and sound could go through and no way of wiring uses, by name. */
export interface LeftOut {
  /** Devices that stay as they are although a player could be plugged into them: further sound systems, and boxes behind what has no HDMI. */
  readonly standing: readonly string[];
  /** Screens with an HDMI output of their own. */
  readonly screens: readonly string[];
}

const leftOutOf = ({ fixedDevices, screens }: WiringSpace): LeftOut => ({
  standing: fixedDevices.filter((device) => inputKinds(device, NO_SOCKETS).length > 0).map(({ name }) => name),
  screens: screens.filter((screen) => hdmiOutputs(screen).length > 0).map(({ name }) => name),
});

/** However long the search took, this share of its time is left for leads of players. */
const LEADS_SHARE = 1 / 3;

/** More single changes than this, one after the other, are not taken over. */
const MOST_TURNS = 12;

/**
 * The plans of a room. The best of them is compared with what a lead for sound from a player itself would bring, judged by its neighbours,
 * and improved by what the search does not think of; with such a change, or where a box or the room as it was found would still be better, it
 * is not called proven.
 */
export function checkedPlans(space: WiringSpace, weights: Weights, options: PlanOptions = {}): CheckedSearch {
  const { clock, mostMs = Infinity } = options;
  const begun = clock?.() ?? 0;
  const found = searchPlans(space, weights, options);
  const first = found.plans[0] ?? null;
  const left = clock ? mostMs - (clock() - begun) : Infinity;
  const leads = searchOwnLeads(space, weights, first, { ...(clock ? { clock } : {}), mostMs: Math.max(left, mostMs * LEADS_SHARE) });
  let best = leads.better ?? first;
  const tried = { leadsTried: leads.isWhole, severalTried: leads.isOfSeveral, leftOut: leftOutOf(space) };
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
  const asFound = (worthOfRoom(space, weights, space.job, best.figures.heard) ?? -Infinity) - best.points;
  const more = Math.max(check.better[0]?.more ?? 0, asFound);
  const isProven = found.proven && more <= ALIKE && beyond === 0 && leads.isWhole;
  const { school } = best;
  return {
    ...found,
    plans: [best, ...found.plans.filter((other) => other.school !== school)],
    impossible: found.impossible.filter((other) => other !== school),
    proven: isProven,
    gap: isProven || !found.proven || more <= ALIKE ? found.gap : (100 * more) / Math.max(1, best.points),
    check,
    beyond,
    ...tried,
  };
}
