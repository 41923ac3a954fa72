import { expose } from "comlink";
import type { Job } from "@/core/job";
import {
  atHand,
  checkedPlans,
  smallestConflict,
  tradesOf,
  whatIfs,
  whyNot,
  wishesOf,
  wiringSpace,
  type Bond,
  type CheckedSearch,
  type Trades,
  type Weights,
  type WhatIf,
  type WhyNot,
  type WishConflict,
  type WiringPlan,
} from "@/core/plan";
import type { StockItem } from "@/core/stock";

/** What is planned, by what it is weighed, and with what; what is wanted is in the brief of the job. */
export interface PlanQuestion {
  readonly job: Job;
  readonly weights: Weights;
  readonly items: readonly StockItem[];
  readonly free: ReadonlyMap<string, number>;
}

/** After this the best that was found is shown, with the gap that remains. */
const MOST_MS = 5000;
/** So many trades stand side by side. */
const SIDE_BY_SIDE = 4;

const limits = () => ({ clock: () => performance.now(), mostMs: MOST_MS });
const spaceOf = ({ job, items, free }: PlanQuestion) => wiringSpace(job, atHand(job, items, free));

const api = {
  /** The plans of a job; null where there is nothing to plan. Tells the points of every better plan as it is found. */
  plan(question: PlanQuestion, onBetter: (points: number) => void): CheckedSearch | null {
    const space = spaceOf(question);
    return space && checkedPlans(space, question.weights, { ...limits(), onBetter: ({ points }) => onBetter(points) });
  },

  /** The plans that none other beats in arrivals, ease, cost and work together. */
  trades(question: PlanQuestion): Trades {
    const space = spaceOf(question);
    return space ? tradesOf(space, SIDE_BY_SIDE, limits()) : { plans: [], of: 0, isWhole: true, leadsLeftOut: false };
  },

  /** How the best plan would change with one thing about the room. */
  whatIfs(question: PlanQuestion, best: WiringPlan): readonly WhatIf[] {
    const space = spaceOf(question);
    return space ? whatIfs(space, question.weights, best, limits()) : [];
  },

  /** What becomes of the room when something that a person asks about is forced. */
  whyNot(question: PlanQuestion, best: WiringPlan, asked: Bond): WhyNot | null {
    const space = spaceOf(question);
    return space && whyNot(space, question.weights, { plans: [best] }, asked, limits());
  },

  /** Wishes that conflict, none of which can be spared. */
  conflict({ job, items, free }: PlanQuestion): WishConflict {
    const { bonds, musts } = wishesOf(job);
    return smallestConflict({ job, atHand: atHand(job, items, free), bonds, musts }, limits());
  },
};
export type PlansWorker = typeof api;

expose(api);
