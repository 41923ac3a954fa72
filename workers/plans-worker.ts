import { expose } from "comlink";
import type { Job } from "@/core/job";
import { atHand, PRESETS, searchPlans, wiringSpace, type Bond, type PlanSearch, type Preset } from "@/core/plan";
import type { StockItem } from "@/core/stock";

/** What is planned, and with what. */
export interface PlanQuestion {
  readonly job: Job;
  readonly preset: Preset;
  readonly bonds: readonly Bond[];
  readonly items: readonly StockItem[];
  readonly free: ReadonlyMap<string, number>;
}

/** After this the best that was found is shown, with the gap that remains. */
const MOST_MS = 5000;

const api = {
  /** The plans of a job; null where there is nothing to plan. Tells the points of every better plan as it is found. */
  plan({ job, preset, bonds, items, free }: PlanQuestion, onBetter: (points: number) => void): PlanSearch | null {
    const space = wiringSpace(job, atHand(job, items, free), { bonds });
    if (!space) return null;
    const clock = () => performance.now();
    return searchPlans(space, PRESETS[preset], { clock, mostMs: MOST_MS, onBetter: ({ points }) => onBetter(points) });
  },
};
export type PlansWorker = typeof api;

expose(api);
