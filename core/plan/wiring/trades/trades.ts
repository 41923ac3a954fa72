import { paretoFront } from "./pareto-front";
import { mayHaveOwnLead } from "../explain";
import { type PlanOptions, searchPlans } from "../search";
import type { WiringSpace } from "../space";
import { beats, covers, LEAST_ARRIVING, tradeOf, type Trade, type TradedPlan } from "./trade";
import { PRESETS, type Weights } from "../evaluation";

/** So many trades a person compares in a list. */
export const MOST_TRADES = 6;

/** Plans that no other beats, so many of them as a person can compare. */
export interface Trades {
  readonly plans: readonly TradedPlan[];
  /** How many there are before they are thinned. */
  readonly of: number;
  /** Every other way of wiring was shown to be no better than one of them in everything, but for differences that nobody argues about. */
  readonly isWhole: boolean;
  /** A player could have a lead for sound of its own beside its HDMI; plans with one more, or without one that is there, are not among them. */
  readonly leadsLeftOut: boolean;
}

/** The corners between which the presets lie: one figure alone, with just enough of the others that no plan is senseless. */
const CORNERS: readonly Weights[] = [
  { sound: 85, picture: 40, ease: 2, money: 0.1, hours: 0.1, pulls: 0.1 },
  { sound: 10, picture: 10, ease: 90, money: 0.2, hours: 0.2, pulls: 0.2 },
  { sound: 20, picture: 15, ease: 5, money: 40, hours: 1, pulls: 1 },
  { sound: 20, picture: 15, ease: 5, money: 1, hours: 30, pulls: 20 },
];

/**
 * The plans that no other beats in arrivals, ease, cost and work together, thinned to as many as a person can compare: those first that
 * lie furthest from what is shown already. At first all plans are taken that were played through the full engine on the way to the best
 * for the presets and for the corners between which they lie; then whatever these do not cover is looked through.
 */
export function tradesOf(space: WiringSpace, count: number, { clock, mostMs = Infinity }: PlanOptions = {}): Trades {
  const begun = clock?.() ?? 0;
  const played = new Map<string, TradedPlan>();
  const weightings = [...Object.values<Weights>(PRESETS), ...CORNERS];
  for (const weights of weightings)
    searchPlans(space, weights, {
      ...(clock ? { clock, mostMs: (mostMs * SHARE_OF_SEEDS) / weightings.length } : {}),
      onlyBest: true,
      onPlayed: (plan) => {
        const trade = tradeOf(plan);
        const key = Object.values(trade)
          .map((value: number) => value.toFixed(3))
          .join(" ");
        if (!played.has(key)) played.set(key, { plan, trade });
      },
    });
  const { plans, isWhole } = paretoFront(space, [...played.values()], () => clock !== undefined && clock() - begun > mostMs);
  // A player left unplugged is nothing to argue about where it need not be.
  const fewest = Math.min(...plans.map(({ plan }) => plan.figures.unplugged));
  const most = Math.max(0, ...plans.map(({ trade }) => trade.arrivals));
  const all = plans.filter(({ plan, trade }) => plan.figures.unplugged === fewest && trade.arrivals >= LEAST_ARRIVING * most);
  const unbeaten = withoutTheLike(all.filter(({ trade }) => !all.some((other) => beats(other.trade, trade))));
  return { plans: thinned(unbeaten, count), of: unbeaten.length, isWhole, leadsLeftOut: mayHaveOwnLead(space) };
}

/** The part of the time that goes into the best plan for each weighting. */
const SHARE_OF_SEEDS = 0.5;

const byArrivals = ({ trade: a }: TradedPlan, { trade: b }: TradedPlan): number =>
  b.arrivals - a.arrivals || a.cost - b.cost || b.ease - a.ease || a.work - b.work;

/** Of plans that differ in nothing that anybody argues about, one. */
const withoutTheLike = (plans: readonly TradedPlan[]): readonly TradedPlan[] =>
  plans
    .toSorted(byArrivals)
    .reduce<readonly TradedPlan[]>((kept, plan) => (kept.some(({ trade }) => covers(trade, plan.trade)) ? kept : [...kept, plan]), []);

/** The one with most arriving, then whichever is least like those that are chosen already. */
function thinned(plans: readonly TradedPlan[], most: number): readonly TradedPlan[] {
  const left = plans.toSorted(byArrivals);
  const span = (of: keyof Trade) =>
    Math.max(...plans.map(({ trade }) => trade[of])) - Math.min(...plans.map(({ trade }) => trade[of])) || 1;
  const spans: Trade = { arrivals: span("arrivals"), ease: span("ease"), cost: span("cost"), work: span("work") };
  const distance = (a: Trade, b: Trade) =>
    (["arrivals", "ease", "cost", "work"] as const).reduce((sum, of) => sum + Math.abs(a[of] - b[of]) / spans[of], 0);
  const chosen: TradedPlan[] = left.splice(0, 1);
  while (chosen.length < most && left.length > 0) {
    const far = left.map((one) => Math.min(...chosen.map(({ trade }) => distance(trade, one.trade))));
    chosen.push(...left.splice(far.indexOf(Math.max(...far)), 1));
  }
  return chosen;
}
