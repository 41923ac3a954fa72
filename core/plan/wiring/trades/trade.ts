import { UNPLUGGED_POINTS, type WeighedFigures, type Weights } from "../evaluation";
import type { WiringPlan } from "../search";

/** Sound counts twice the picture, as it does in the household's own weights at most. */
export const ARRIVING: Weights = { sound: 200 / 3, picture: 100 / 3, ease: 0, money: 0, hours: 0, pulls: 0 };

/** What a player without a socket takes from what arrives. */
export const UNPLUGGED_SHARE = UNPLUGGED_POINTS / 100;

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

/** The trade that a plan is. */
export const tradeOf = ({ figures }: { readonly figures: WeighedFigures }): Trade => ({
  arrivals: (ARRIVING.sound * figures.sound + ARRIVING.picture * figures.picture) / 100 - figures.unplugged * UNPLUGGED_SHARE,
  ease: figures.ease,
  cost: figures.money + figures.guessed,
  work: Math.max(0, figures.minutes),
});

/** Differences that nobody argues about. */
const ALIKE: Trade = { arrivals: 0.005, ease: 0.01, cost: 1, work: 3 };

/** Whether one trade is as good as another in everything and better in something. */
export const beats = (a: Trade, b: Trade): boolean => covers(a, b) && gainsOf(a, b).some((gain) => gain >= 1);

/** What one trade has more than another, counted in differences that matter. */
const gainsOf = (a: Trade, b: Trade): readonly number[] => [
  (a.arrivals - b.arrivals) / ALIKE.arrivals,
  (a.ease - b.ease) / ALIKE.ease,
  (b.cost - a.cost) / ALIKE.cost,
  (b.work - a.work) / ALIKE.work,
];

/** A way of which less than this part of the most arrives is nothing that anybody argues about, however easy or cheap it is. */
export const LEAST_ARRIVING = 0.5;

/** Whether one trade is as good as another in everything, but for differences that nobody argues about. */
export const covers = (a: Trade, b: Trade): boolean => gainsOf(a, b).every((gain) => gain > -1);
