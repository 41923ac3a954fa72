import type { WiringPlan } from "./make-plan";
import { searchPlans, type PlanOptions } from "./search";
import type { WiringSpace } from "./space";
import { PRESETS, type Weights } from "./weights";

/** What a person weighs plans by: what arrives and how easy it is, 0 to 1, against what it costs and the minutes it takes. */
export interface Trade {
  readonly arrivals: number;
  readonly ease: number;
  readonly cost: number;
  readonly work: number;
}

/** A plan that no other one beats in everything. */
export interface TradedPlan {
  readonly plan: WiringPlan;
  readonly trade: Trade;
}

/** The trade that a plan is. Sound counts twice the picture, as it does in the household's own weights at most. */
export const tradeOf = ({ figures }: WiringPlan): Trade => ({
  arrivals: (2 * figures.sound + figures.picture) / 3 - figures.unplugged / 10,
  ease: figures.ease,
  cost: figures.money + figures.guessed,
  work: Math.max(0, figures.minutes),
});

/** So many trades a person compares in a list. */
export const MOST_TRADES = 6;

/** Differences that nobody argues about. */
const ALIKE: Trade = { arrivals: 0.005, ease: 0.01, cost: 1, work: 3 };

/** Whether one trade is as good as another in everything and better in something. */
export function beats(a: Trade, b: Trade): boolean {
  const gains = [
    (a.arrivals - b.arrivals) / ALIKE.arrivals,
    (a.ease - b.ease) / ALIKE.ease,
    (b.cost - a.cost) / ALIKE.cost,
    (b.work - a.work) / ALIKE.work,
  ];
  return gains.every((gain) => gain > -1) && gains.some((gain) => gain >= 1);
}

/** The corners between which the presets lie: one figure alone, with just enough of the others that no plan is senseless. */
const CORNERS: readonly Weights[] = [
  { sound: 85, picture: 40, ease: 2, money: 0.1, hours: 0.1, pulls: 0.1 },
  { sound: 10, picture: 10, ease: 90, money: 0.2, hours: 0.2, pulls: 0.2 },
  { sound: 20, picture: 15, ease: 5, money: 40, hours: 1, pulls: 1 },
  { sound: 20, picture: 15, ease: 5, money: 1, hours: 30, pulls: 20 },
];

/**
 * The plans that none other beats in arrivals, ease, cost and work together, thinned to as many as a person can compare: the best for each
 * weighting first, then those that lie furthest from what is shown already. Candidates are all plans that were played through the full
 * engine on the way to the best plans for the presets and for the corners between which they lie.
 */
export function tradesOf(space: WiringSpace, most: number, { clock, mostMs = Infinity }: PlanOptions = {}): readonly TradedPlan[] {
  const played = new Map<string, TradedPlan>();
  const weightings = [...Object.values<Weights>(PRESETS), ...CORNERS];
  for (const weights of weightings)
    searchPlans(space, weights, {
      ...(clock ? { clock, mostMs: mostMs / weightings.length } : {}),
      onlyBest: true,
      onPlayed: (plan) => {
        const trade = tradeOf(plan);
        const key = Object.values(trade)
          .map((value: number) => value.toFixed(3))
          .join(" ");
        if (!played.has(key)) played.set(key, { plan, trade });
      },
    });
  // A player left unplugged is nothing to argue about where it need not be.
  const fewest = Math.min(...[...played.values()].map(({ plan }) => plan.figures.unplugged));
  const all = [...played.values()].filter(({ plan }) => plan.figures.unplugged === fewest);
  return thinned(
    all.filter(({ trade }) => !all.some((other) => beats(other.trade, trade))),
    most,
  );
}

/** The one with most arriving, then whichever is least like those that are chosen already. */
function thinned(plans: readonly TradedPlan[], most: number): readonly TradedPlan[] {
  const left = plans.toSorted((a, b) => b.trade.arrivals - a.trade.arrivals || a.trade.cost - b.trade.cost || a.trade.work - b.trade.work);
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
