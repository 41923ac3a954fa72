export type { PlanQuestion } from "@/workers/plans-worker";
export { PlansPlace } from "./plans-place";
export { usePlans, type Planning } from "./use-plans";
