import type { WiringPlan } from "./make-plan";
import { searchPlans, type PlanOptions, type PlanSearch } from "./search";
import type { Bond, WiringSpace } from "./space";
import type { Weights } from "./weights";

/** What becomes of a room when something that a person asks about is forced. */
export interface WhyNot {
  /** Null: no plan keeps to it. */
  readonly best: WiringPlan | null;
  readonly proven: boolean;
  /** Points that it is behind the best plan without it. */
  readonly behind: number | null;
}

/** Answers "why not so?" by planning with it. */
export function whyNot(
  space: WiringSpace,
  weights: Weights,
  before: Pick<PlanSearch, "plans">,
  forced: Bond,
  options: PlanOptions = {},
): WhyNot {
  const found = searchPlans({ ...space, bonds: [...space.bonds, forced] }, weights, { ...options, onlyBest: true });
  const best = found.plans[0] ?? null;
  const top = before.plans[0];
  return { best, proven: found.proven, behind: best && top ? top.points - best.points : null };
}
